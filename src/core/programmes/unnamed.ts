import { addDays } from "../climate/days";
import { unnamedOn } from "../case/unnamed";
import { lookDays, lookDue, notRunning, WATCHED_EVERY_DAYS, type ProgrammeKind } from "./programme";

/** Signs that nobody could name are looked at again within a week, and weekly until they have a name or are none (common practice). */
export const unnamed: ProgrammeKind<"unnamed"> = {
  kind: "unnamed",
  subject: "plant",
  due({ record }) {
    const open = unnamedOn(record.looks);
    if (!open) return [];
    const last = lookDays(record).at(-1);
    const from = last !== undefined && last > open.since ? last : open.since;
    return [lookDue("unnamed", addDays(from, WATCHED_EVERY_DAYS))];
  },
  verdict: ({ record }) => (unnamedOn(record.looks) ? { ...notRunning, state: "atRisk" } : notRunning),
};
