import { z } from "zod";
import { whole } from "../fields";
import { cardHazard } from "../remedies/lasting";
import { actKind } from "./kind";
import { lastingEvents } from "./lastingEvent";

const MINUTES = 2;

/** Sticky cards hung for so many days. */
export const trap = actKind({
  kind: "trap",
  shape: z.object({ kind: z.literal("trap"), cards: whole(1, 200), days: whole(1, 120) }),
  doneTo: ["plant", "place"],
  events: ({ days }, { pest }, atDays) =>
    lastingEvents(pest, { fromDay: 0, untilDay: days, dailyHazard: cardHazard }, atDays),
  cautions: () => ["cardsCatchMore"],
  costs: () => ({ minutes: MINUTES, volumeMl: 0 }),
});
