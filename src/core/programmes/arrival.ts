import { addDays } from "../climate/days";
import type { PlantRecord } from "../case/record";
import { lookDays, lookDue, notRunning, WATCHED_EVERY_DAYS, type ProgrammeKind } from "./programme";

const neverJoined = ({ stays, apartAt }: PlantRecord) =>
  stays.length > 0 && stays.every(({ placeId }) => apartAt(placeId)) && stays.at(-1)!.until === null;

/** A plant that came into an isolation place and has not left it yet is looked at weekly. */
export const arrival: ProgrammeKind<"arrival"> = {
  kind: "arrival",
  subject: "plant",
  due({ record }) {
    if (!neverJoined(record)) return [];
    const last = lookDays(record).at(-1);
    return [lookDue("arrival", last === undefined ? record.plant.addedOn : addDays(last, WATCHED_EVERY_DAYS))];
  },
  verdict: ({ record }) => (neverJoined(record) ? { ...notRunning, state: "new" } : notRunning),
};
