import { addDays } from "../climate/days";
import { lookDays, lookDue, type ProgrammeKind } from "./programme";

/** The keeper's own rhythm, which every plant is looked at in: at once when it came, then every so many days. */
export const round: ProgrammeKind<"round"> = {
  kind: "round",
  subject: "plant",
  due({ record, lookEveryDays }) {
    if (!(lookEveryDays >= 1)) throw new RangeError(`the looking rhythm is a day or more, got ${lookEveryDays}`);
    const last = lookDays(record).at(-1);
    return [lookDue("round", last === undefined ? record.plant.addedOn : addDays(last, lookEveryDays))];
  },
  verdict: () => ({ state: "clear", petals: 0, until: null }),
};
