import { z } from "zod";
import { text } from "../fields";
import { systemicIds, systemics } from "../remedies/lasting";
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
  events: ({ remedy }, { pest }, atDays) => lastingEvents(pest, systemics[remedy], atDays),
  treats: ({ remedy }, pest) => pest in systemics[remedy].dailyHazard,
  cleanLook: () => null,
  touches: () => ({ ...touchesNothing, roots: true }),
  product: ({ remedy }) => remedy,
  poured: () => null,
  work: () => "systemic",
  cautions: ({ remedy }) => systemics[remedy].cautions,
  costs: () => ({ minutes: MINUTES, volumeMl: 0 }),
  timers: () => [],
  ahead: ({ remedy }) => [
    { what: "systemicActs", days: systemics[remedy].fromDay },
    { what: "systemicEnds", days: systemics[remedy].untilDay },
  ],
});
