import { z } from "zod";
import { orNothing, whole } from "../fields";
import { predatorIds, predators, type LastingRemedy } from "../remedies/lasting";
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
    /** In a closed cabinet, or in the open room; where nobody said: in the open. */
    where: orNothing(z.enum(["cabinet", "open"])).optional(),
  }),
  doneTo: ["plant", "place"],
  events: ({ predator, where }, { pest }, atDays) => {
    const { onlyEnclosed }: LastingRemedy = predators[predator];
    return onlyEnclosed && where !== "cabinet" ? [] : lastingEvents(pest, predators[predator], atDays);
  },
  cautions: ({ predator }) => predators[predator].cautions,
  costs: () => ({ minutes: MINUTES, volumeMl: 0 }),
});
