import { z } from "zod";
import { whole } from "../shared/fields";
import { cultureIds, cultures } from "../knowledge/remedies/lasting";
import { keptUp } from "./inPots";
import { actKind, touchesNothing } from "./kind";

const MINUTES = 5;

/** A change in how it is grown that gnats do not like, kept up for so many days. */
export const culture = actKind({
  kind: "culture",
  shape: z.object({ kind: z.literal("culture"), way: z.enum(cultureIds), days: whole(1, 365) }),
  doneTo: ["plant", "place"],
  events: ({ way, days }, { pest }, atDays) => {
    if (pest.id !== "fungusGnat") return [];
    const { layFactor, larvaHazard } = cultures[way];
    const dailyHazard = pest.stages.map(({ id }) => (id === "egg" || id === "larva" ? larvaHazard : 0));
    return [{ kind: "lasting", atDays, untilDays: atDays + days, effect: { dailyHazard, layFactor } }];
  },
  // Gnats are judged by their room; on a plant it is a way of growing, and what was seen before it stands.
  treats: () => false,
  cleanLook: () => null,
  touches: () => touchesNothing,
  products: () => [],
  poured: () => null,
  work: () => null,
  cautions: () => ["thirst"],
  costs: () => ({ minutes: MINUTES, volumeMl: 0 }),
  timers: () => [],
  gnatWay: ({ way }) => (way === "richFeed" ? null : way),
  inPots: ({ way, days }, done) => keptUp(cultures[way], days, done),
  alike: ({ way }) => way,
  ahead: () => [],
});
