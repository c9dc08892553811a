import { addDays, type Day } from "../climate/days";
import type { PlantRecord } from "../case/record";
import { CLEAN_LOOKS_NEEDED, countedCleanLooks } from "../inspection/cleanLooks";
import { lookDays, lookDue, notRunning, WATCHED_EVERY_DAYS, type ProgrammeKind } from "./programme";

/** The days since which a plant is at risk: until two clean looks, six days apart, on or after the day it stood beside a case (HOUSE). */
function atRiskSince({ exposures, looked }: PlantRecord): Day[] {
  const clean = looked.filter((look) => look.clean).map((look) => look.day);
  return exposures
    .filter(({ day }) => countedCleanLooks(clean.filter((on) => on >= day)) < CLEAN_LOOKS_NEEDED)
    .map(({ day }) => day);
}

/** A plant that has stood beside a case is looked at at once, and weekly until the risk is over. */
export const watch: ProgrammeKind<"watch"> = {
  kind: "watch",
  subject: "plant",
  due({ record }) {
    const last = lookDays(record).at(-1);
    return atRiskSince(record).map((since) =>
      lookDue("watch", last === undefined || last < since ? since : addDays(last, WATCHED_EVERY_DAYS)),
    );
  },
  verdict: ({ record }) => (atRiskSince(record).length > 0 ? { ...notRunning, state: "atRisk" } : notRunning),
};
