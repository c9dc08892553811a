import { mediumIds } from "../knowledge/roots/unpotting";
import { z } from "zod";
import { assertNever } from "../shared/assertNever";
import { decimal, orNothing, whole } from "../shared/fields";
import { toolIds } from "../model/inspection/tools";
import { shareOn } from "../knowledge/plants/spotWeights";
import { spotIds } from "../knowledge/plants/spots";
import type { PerSite } from "../model/population/sites";
import type { CautionId, KillRange } from "../knowledge/remedies/remedies";
import { techniques } from "../knowledge/remedies/remedies";
import { pestOf, type Habitat, type PestId } from "../knowledge/pests/pests";
import type { Search } from "../model/inspection/see";
import { nothingInPots } from "./inPots";
import { actKind, touchesNothing, type ActEvent, type Target } from "./kind";
import { fan } from "./timerIds";
import type { WorkId } from "./workIds";
import { seenIds, touched } from "./touch";

export const mechanicalWays = ["squash", "pickOff", "litter", "dustOff", "wipe", "shower", "prune", "unpot"] as const;
export type MechanicalWay = (typeof mechanicalWays)[number];

/** A cloth rubs off so many of the animals it touches (HOUSE). */
const RUBBED_OFF = 0.9;
/** A shower dislodges so many of those that move, on open, on sheltered and on deep places (HOUSE). */
const SHOWERED: PerSite = [0.6, 0.2, 0.05];
/** Of what a shower dislodges, so many that fall into a mix left bare climb back up (HOUSE). */
const CLIMB_BACK = 0.3;
/** A dry cloth that takes dust off leaves takes so many of the animals on their faces with it (HOUSE). */
const WITH_THE_DUST = 0.3;
/** Litter, dead sheaths and loose top dressing taken off whole carry so many of the animals on them away (HOUSE). */
const WITH_THE_LITTER = 0.7;
/** Unpotted and washed: what goes with the old mix, and what goes of the neck (HOUSE). */
const WASHED_ROOTS = 0.9;
const WASHED_NECK = 0.6;

const minutesAt12cm: Readonly<Record<MechanicalWay, number>> = {
  squash: 10,
  pickOff: 10,
  litter: 5,
  dustOff: 6,
  wipe: 12,
  shower: 6,
  prune: 8,
  unpot: 30,
};

const cautions: Readonly<Record<MechanicalWay, readonly CautionId[]>> = {
  squash: ["cleanHands"],
  pickOff: ["cleanHands"],
  litter: ["cleanHands", "waste"],
  dustOff: ["cleanHands"],
  wipe: ["cleanHands", "testLeaf"],
  shower: ["coverTheMix", "dryCrown"],
  prune: ["cutLittle", "wipeTools", "waste"],
  unpot: ["protectYourself", "binTheMix", "bleachAlone", "waste"],
};

const always = (chance: number): KillRange => ({ low: chance, likely: chance, high: chance });

/** What becomes of what is cut off: binned, stuck back into the pot it came from, or potted by itself. */
export const cuttingsIds = ["binned", "putBack", "potted"] as const;
export type Cuttings = (typeof cuttingsIds)[number];

const shape = z
  .object({
    kind: z.literal("mechanical"),
    way: z.enum(mechanicalWays),
    /** With what it was looked for, where the eye must guide the hand, or what was left on washed roots; null otherwise. */
    tool: orNothing(z.enum(toolIds)),
    /** The share of the plant that was cut off, per cent; null unless pruned. */
    percent: orNothing(decimal(1, 90)),
    /** What became of what was cut off; binned where nobody said, null unless pruned. */
    cuttings: orNothing(z.enum(cuttingsIds)).optional(),
    spots: z.array(z.enum(spotIds)).min(1).max(spotIds.length),
    /** Whether any live animal was seen where the eye guided the hand; null where nobody said, or it did not. */
    seen: orNothing(z.enum(seenIds)).optional(),
    /** Whether the mix was covered while it was showered; null where it was not showered, or nobody said: covered then. */
    mix: orNothing(z.enum(["covered", "bare"])).optional(),
    /** What became of the roots where it was unpotted; null where it was not, or nobody said. */
    roots: orNothing(
      z.object({
        /** What was left of them, per cent, and the pot they went into. */
        leftPercent: whole(1, 100),
        potCm: decimal(1, 200),
        /** Days without water afterwards. */
        dryDays: whole(0, 200),
        /** What they went into; nobody said where left out. */
        medium: z.enum(mediumIds).optional(),
        /** The pot they came from; written down with the act. */
        fromCm: decimal(1, 200).optional(),
      }),
    ).optional(),
  })
  .refine((act) => act.way === "unpot" || !act.roots, { path: ["roots"], params: { code: "unknown" } })
  .refine((act) => act.way !== "prune" || act.percent !== null, { path: ["percent"], params: { code: "required" } })
  .refine((act) => !guidedByEye(act.way) || act.tool !== null, { path: ["tool"], params: { code: "required" } });

type Mechanical = z.output<typeof shape>;

/** Whether only what is seen is hit. @example guidedByEye("shower") // false */
export function guidedByEye(way: MechanicalWay): boolean {
  return way === "squash" || way === "pickOff";
}

/** What an act says of roots that were washed and potted anew; null for any other. */
export function rootsIn(act: {
  readonly kind: string;
  readonly roots?: Mechanical["roots"];
}): NonNullable<Mechanical["roots"]> | null {
  return act.kind === "mechanical" ? (act.roots ?? null) : null;
}

/** Hands and water: squashed, picked off, wiped, showered, cut off, or unpotted, washed and put into new mix. */
export const mechanical = actKind({
  kind: "mechanical",
  shape,
  doneTo: ["plant"],
  events: eventsOf,
  treats: (act, pest) => cleanLookIn(act) === null && !isPutBack(act) && livesIn(pest, takesFrom[act.way]),
  cleanLook: cleanLookIn,
  touches: ({ way, mix }) => ({
    ...touchesNothing,
    leaves: way === "shower" || way === "wipe",
    mix: way === "shower" && mix === "bare",
    roots: way === "unpot",
    washed: way === "shower" || way === "unpot",
  }),
  products: () => [],
  poured: () => null,
  work: (act) => (isPutBack(act) ? null : (workOf[act.way] ?? null)),
  cautions: ({ way }) => cautions[way],
  costs: ({ way }, potCm) => ({ minutes: Math.max(1, Math.round((minutesAt12cm[way] * potCm) / 12)), volumeMl: 0 }),
  timers: ({ way }) => (way === "shower" || way === "unpot" ? [fan] : []),
  gnatWay: () => null,
  inPots: ({ way }, { day, pots }) =>
    way === "unpot"
      ? { ...nothingInPots, treatments: [{ atDay: day, pots, kill: [WASHED_ROOTS, WASHED_ROOTS, WASHED_ROOTS] }] }
      : nothingInPots,
  alike: ({ way }) => way,
  ahead: (act) => {
    const dryDays = rootsIn(act)?.dryDays ?? 0;
    return dryDays > 0 ? [{ what: "water", days: dryDays }] : [];
  },
});

/** The works of plans that are done by hands and water. */
const workOf: Partial<Readonly<Record<MechanicalWay, WorkId>>> = {
  unpot: "unpot",
  shower: "shower",
  wipe: "rub",
  prune: "prune",
};

/** Where the animals live that a way takes some of. */
const takesFrom: Readonly<Record<MechanicalWay, readonly Habitat[]>> = {
  squash: ["foliage", "soil"],
  pickOff: ["foliage", "soil"],
  litter: ["foliage"],
  dustOff: ["foliage"],
  wipe: ["foliage"],
  shower: ["foliage"],
  prune: ["foliage", "tissue"],
  unpot: ["foliage", "soil"],
};

function livesIn(pest: PestId, habitats: readonly Habitat[]): boolean {
  return pestOf(pest).stages.some(({ where }) => habitats.includes(where));
}

/** Whoever picks off what is seen and sees none has looked, and found nothing. */
function cleanLookIn({ way, tool, spots, seen }: Mechanical): Search | null {
  return guidedByEye(way) && seen === "none" && tool ? { tool, spots } : null;
}

/** What is stuck back into the same pot keeps its animals there: nothing was taken from the plant. */
const isPutBack = ({ way, cuttings }: Mechanical) => way === "prune" && cuttings === "putBack";

function eventsOf(act: Mechanical, target: Target, atDays: number): readonly ActEvent[] {
  if (cleanLookIn(act) || isPutBack(act)) return [];
  const { way, tool, percent, spots, mix } = act;
  const { pest, weights, form } = target;
  const there = shareOn(form, weights, spots);
  const cover = { foliage: there };
  const kill = pest.stages.map(() => always(1));
  switch (way) {
    case "squash":
    case "pickOff":
      return [
        {
          kind: "treatment",
          atDays,
          kill,
          reach: {},
          touch: touched(pest, weights, form, tool ?? "eye"),
          cover: { ...cover, soil: there },
        },
      ];
    case "litter": {
      const taken = pest.stages.map(() => always(WITH_THE_LITTER));
      const lying = { foliage: shareOn(form, weights, ["mixTop"]) };
      return [{ kind: "treatment", atDays, kill: taken, reach: { foliage: [1, 1, 1] }, cover: lying }];
    }
    case "dustOff": {
      const taken = pest.stages.map((stage) => always(stage.mobile ? WITH_THE_DUST : 0));
      const faces = shareOn(
        form,
        weights,
        spots.filter((spot) => spot === "upperSide" || spot === "underside"),
      );
      return [{ kind: "treatment", atDays, kill: taken, reach: { foliage: [1, 1, 1] }, cover: { foliage: faces } }];
    }
    case "wipe": {
      const rubbed = pest.stages.map(() => always(RUBBED_OFF));
      return [{ kind: "treatment", atDays, kill: rubbed, reach: { foliage: techniques.wipe.reach }, cover }];
    }
    case "shower": {
      const gone = mix === "bare" ? 1 - CLIMB_BACK : 1;
      const moving = pest.stages.map((stage) => always(stage.mobile ? gone : 0));
      return [{ kind: "treatment", atDays, kill: moving, reach: { foliage: SHOWERED }, cover }];
    }
    case "prune": {
      const cut = pest.stages.map((stage) =>
        always(stage.where === "foliage" || stage.where === "tissue" ? (percent ?? 0) / 100 : 0),
      );
      const all = [1, 1, 1] as const;
      return [{ kind: "treatment", atDays, kill: cut, reach: { foliage: all, tissue: all } }];
    }
    case "unpot": {
      const below = shareOn(form, weights, ["mixTop", "roots", "pot"]);
      const neck = shareOn(form, weights, ["neck"]);
      const washed = below.map((share, site) => share + neck[site]!);
      // What is washed well and what less well, as one reach of the places that were washed at all.
      const reach = below.map((share, site) =>
        washed[site]! > 0 ? (WASHED_ROOTS * share + WASHED_NECK * neck[site]!) / washed[site]! : 0,
      );
      const soil = [WASHED_ROOTS, WASHED_ROOTS, WASHED_ROOTS] as const;
      const bath: ActEvent = {
        kind: "treatment",
        atDays,
        kill,
        reach: { foliage: reach as unknown as PerSite, soil },
        cover: { foliage: washed.map((share) => Math.min(1, share)) as unknown as PerSite },
      };
      // What is seen on the washed roots is picked off, where it was looked for.
      const picked: ActEvent = {
        kind: "treatment",
        atDays,
        kill,
        reach: {},
        touch: touched(pest, weights, form, "unpotted"),
      };
      return tool === "unpotted" ? [bath, picked] : [bath];
    }
    default:
      return assertNever(way);
  }
}
