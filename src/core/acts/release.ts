import { z } from "zod";
import { whole } from "../fields";
import { predatorIds, predators } from "../remedies/lasting";
import { actKind } from "./kind";
import { lastingEvents } from "./lastingEvent";

const MINUTES = 5;

/** Predators let loose: sachets hung, a tube shaken out, nematodes watered in. */
export const release = actKind({
  kind: "release",
  shape: z.object({
    kind: z.literal("release"),
    predator: z.enum(predatorIds),
    sachets: whole(1, 500),
  }),
  doneTo: ["plant", "place"],
  events: ({ predator }, { pest }, atDays) => lastingEvents(pest, predators[predator], atDays),
  cautions: ({ predator }) => predators[predator].cautions,
  costs: () => ({ minutes: MINUTES, volumeMl: 0 }),
});
