import { addDays, type Day } from "../../shared/days";
import { CLEAN_LOOKS_NEEDED, countedCleanLooks } from "../../model/inspection/cleanLooks";
import type { PlantRecord } from "../../record/cases/record";
import {
  lookDays,
  lookDue,
  notRunning,
  WATCHED_EVERY_DAYS,
  type ProgrammeFacts,
  type ProgrammeKind,
} from "./programme";

/**
 * The days since which a plant is at risk by the rule that anyone can check by hand: until two clean looks, six days apart, on or
 * after the day it stood beside a case (HOUSE).
 */
export function atRiskSince({ exposures, looked }: Pick<PlantRecord, "exposures" | "looked">): Day[] {
  const clean = looked.filter((look) => look.clean).map((look) => look.day);
  return exposures
    .filter(({ day }) => countedCleanLooks(clean.filter((on) => on >= day)) < CLEAN_LOOKS_NEEDED)
    .map(({ day }) => day);
}

/**
 * Whether a plant is at risk: the chance that it carries something unseen has reached the keeper's limit. While that is not
 * reckoned for the facts as they are, the rule by hand speaks too.
 */
function isAtRisk({ record, risk }: ProgrammeFacts): boolean {
  const byNumber = risk.p !== null && risk.p >= risk.from;
  return byNumber || (!risk.current && atRiskSince(record).length > 0);
}

/** A plant at risk is looked at at once, and weekly until the risk is over. */
export const watch: ProgrammeKind<"watch"> = {
  kind: "watch",
  subject: "plant",
  due(facts) {
    if (!isAtRisk(facts)) return [];
    const { record } = facts;
    const last = lookDays(record).at(-1);
    // What it stood beside since the last look asks at once.
    const since = record.exposures.map(({ day }) => day).filter((day) => last === undefined || last < day);
    const days = last === undefined ? [...since, record.plant.addedOn] : [...since, addDays(last, WATCHED_EVERY_DAYS)];
    return [lookDue("watch", days.toSorted()[0]!)];
  },
  verdict: (facts) => (isAtRisk(facts) ? { ...notRunning, state: "atRisk" } : notRunning),
};
