import { addDays } from "../../shared/days";
import type { PlantRecord } from "../../record/cases/record";
import { lookDays, lookDue, notRunning, WATCHED_EVERY_DAYS, type ProgrammeKind } from "./programme";

/** Whether a plant has come, bought or back from the summer outside, into an isolation place and has not left it yet. */
export function isArriving({
  stays,
  apartAt,
  outdoorsAt,
}: Pick<PlantRecord, "stays" | "apartAt" | "outdoorsAt">): boolean {
  const now = stays.at(-1);
  const among = stays.findLast(({ placeId }) => !apartAt(placeId));
  return now?.until === null && apartAt(now.placeId) && (!among || outdoorsAt(among.placeId));
}

/** A plant that came into an isolation place and has not left it yet is looked at weekly. */
export const arrival: ProgrammeKind<"arrival"> = {
  kind: "arrival",
  subject: "plant",
  due({ record }) {
    if (!isArriving(record)) return [];
    const last = lookDays(record).at(-1);
    return [lookDue("arrival", last === undefined ? record.plant.addedOn : addDays(last, WATCHED_EVERY_DAYS))];
  },
  verdict: ({ record }) => (isArriving(record) ? { ...notRunning, state: "new" } : notRunning),
};
