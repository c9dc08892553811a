import { z } from "zod";
import { text } from "../shared/fields";
import { meanOf } from "../shared/mean";
import { systemicIds, systemics, takenUpAt } from "../knowledge/remedies/lasting";
import { nothingInPots } from "./inPots";
import { actKind, touchesNothing } from "./kind";
import { lastingEvents } from "./lastingEvent";

/** Minutes to push in sticks, scatter granules or water them in (HOUSE). */
const MINUTES = 3;

/** An insecticide that the roots take up. */
export const systemic = actKind({
  kind: "systemic",
  shape: z.object({
    kind: z.literal("systemic"),
    remedy: z.enum(systemicIds),
    /** What the label says was given: active ingredient and dose, in the keeper's words. */
    given: text(120),
  }),
  doneTo: ["plant"],
  events: ({ remedy }, { pest, conditions }, atDays) => {
    if (!conditions) return lastingEvents(pest, systemics[remedy], atDays);
    // What is in the plant is what it took up until the remedy begins to act.
    const { fromDay } = systemics[remedy];
    const days = Array.from({ length: fromDay }, (_, day) => conditions(day));
    const share = meanOf(days.map(({ meanC, rests }) => takenUpAt(meanC, rests))) ?? 1;
    return lastingEvents(pest, systemics[remedy], atDays, () => share);
  },
  treats: ({ remedy }, pest) => pest in systemics[remedy].dailyHazard,
  cleanLook: () => null,
  touches: () => ({ ...touchesNothing, roots: true }),
  products: ({ remedy }) => [remedy],
  poured: () => null,
  work: () => "systemic",
  cautions: ({ remedy }) => systemics[remedy].cautions,
  costs: () => ({ minutes: MINUTES, volumeMl: 0 }),
  timers: () => [],
  gnatWay: () => null,
  inPots: () => nothingInPots,
  alike: ({ remedy }) => remedy,
  ahead: ({ remedy }) => [
    { what: "systemicActs", days: systemics[remedy].fromDay },
    { what: "systemicEnds", days: systemics[remedy].untilDay },
  ],
});
