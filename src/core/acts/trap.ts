import { z } from "zod";
import { whole } from "../shared/fields";
import { cardHazard, cupHazard } from "../knowledge/remedies/lasting";
import { nothingInPots } from "./inPots";
import { actKind, touchesNothing } from "./kind";
import { lastingEvents } from "./lastingEvent";

const MINUTES = 2;

/** Sticky cards hung, or cups of vinegar set out, for so many days. */
export const trap = actKind({
  kind: "trap",
  shape: z.object({
    kind: z.literal("trap"),
    cards: whole(1, 200),
    days: whole(1, 120),
    /** What draws them; cards where nothing is said. */
    lure: z.enum(["card", "vinegar"]).optional(),
  }),
  doneTo: ["plant", "place"],
  events: ({ days, lure }, { pest }, atDays) =>
    lastingEvents(
      pest,
      { fromDay: 0, untilDay: days, dailyHazard: lure === "vinegar" ? cupHazard : cardHazard },
      atDays,
    ),
  // It counts what flies and takes some of it; what was looked at before it hung says as much as before.
  treats: () => false,
  cleanLook: () => null,
  touches: () => touchesNothing,
  products: () => [],
  poured: () => null,
  work: () => null,
  cautions: ({ lure }) => (lure === "vinegar" ? [] : ["cardsCatchMore"]),
  costs: () => ({ minutes: MINUTES, volumeMl: 0 }),
  timers: () => [],
  gnatWay: ({ lure }) => (lure === "vinegar" ? "vinegar" : "cards"),
  inPots: () => nothingInPots,
  alike: () => "",
  ahead: () => [],
});
