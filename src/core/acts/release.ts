import { z } from "zod";
import { orNothing, whole } from "../shared/fields";
import { huntsIn, predatorIds, predators, type LastingRemedy, type PredatorId } from "../knowledge/remedies/lasting";
import { nothingInPots, type DoneToPots, type InPots, type PotEffect } from "./inPots";
import { actKind, touchesNothing } from "./kind";
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
  events: ({ predator, where }, { pest, conditions }, atDays) =>
    hunts(predator, where)
      ? lastingEvents(
          pest,
          predators[predator],
          atDays,
          conditions && ((daysAfter) => huntsIn(predator, conditions(daysAfter))),
        )
      : [],
  treats: ({ predator, where }, pest) => hunts(predator, where) && pest in predators[predator].dailyHazard,
  cleanLook: () => null,
  touches: ({ predator }) => ({ ...touchesNothing, mix: predator === "nematodes" }),
  products: ({ predator }) => [predator],
  poured: () => null,
  work: ({ predator }) => predator,
  cautions: ({ predator }) => predators[predator].cautions,
  costs: () => ({ minutes: MINUTES, volumeMl: 0 }),
  timers: () => [],
  gnatWay: ({ predator }) => (predator === "nematodes" ? predator : null),
  inPots: inPotsOf,
  alike: ({ predator }) => predator,
  ahead: ({ predator }) => {
    const { phases = [], untilDay }: LastingRemedy = predators[predator];
    // Renewed when they begin to fade, so that none are missing between.
    const [fades = untilDay] = phases.at(-1) ?? [];
    return [
      { what: "renewHelpers", days: fades },
      { what: "helpersGone", days: untilDay },
    ];
  },
});

/** Whether they stay: some fly to the window but in a closed cabinet. */
function hunts(predator: PredatorId, where: "cabinet" | "open" | null | undefined): boolean {
  const { onlyEnclosed }: LastingRemedy = predators[predator];
  return !onlyEnclosed || where === "cabinet";
}

/** Nematodes hunt larvae in the mix, as well as the warmth lets them; where that is not known as well as they can. */
function inPotsOf({ predator }: { readonly predator: PredatorId }, { day, pots, meanC }: DoneToPots): InPots {
  if (predator !== "nematodes") return nothingInPots;
  const { phases, dailyHazard } = predators.nematodes;
  const hunt = meanC === undefined ? 1 : huntsIn("nematodes", { meanC, humidity: null });
  const effects = phases.map(([from, until, share]): PotEffect => ({
    fromDay: day + from,
    untilDay: day + until,
    pots,
    dailyHazard: [0, hunt * share * dailyHazard.fungusGnat.larva, 0],
    layFactor: 1,
  }));
  return { ...nothingInPots, effects };
}
