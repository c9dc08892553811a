import { z } from "zod";
import { decimal, orNothing } from "../shared/fields";
import type { Search } from "../model/inspection/see";
import { toolIds, type ToolId } from "../model/inspection/tools";
import { mixes, mixIds, remediesIn } from "../knowledge/mixes/mixes";
import { cautionsOfMix } from "../knowledge/mixes/mixCautions";
import { besides, potencyAt, potencyOf, type Agent } from "../knowledge/mixes/potency";
import { pestOf, phaseOf, type LifeStage, type Pest, type PestId } from "../knowledge/pests/pests";
import type { GrowthFormId } from "../knowledge/plants/growthForms";
import { shareOn } from "../knowledge/plants/spotWeights";
import { spotIds, type SpotId } from "../knowledge/plants/spots";
import type { LastingEvent, TreatmentEvent } from "../model/population/events";
import type { PerSite } from "../model/population/sites";
import {
  doesTo,
  killWith,
  remedyOf,
  techniqueIds,
  techniques,
  worksOn,
  type KillRange,
  type RemedyId,
  type TechniqueId,
} from "../knowledge/remedies/remedies";
import { SPRAY_FREE_DAYS } from "../knowledge/remedies/naturalEnemies";
import { minutesFor } from "./effort";
import { nothingInPots } from "./inPots";
import { actKind, touchesNothing } from "./kind";
import { fan, type TimerProposal } from "./timerIds";
import { seenIds, touched } from "./touch";

/** What was put on, how and where. */
export interface Application {
  readonly remedy: RemedyId;
  readonly technique: TechniqueId;
  /** How strong the finished mix is against what the kill table holds for (see mixing/potency); 1 where left out. */
  readonly potency?: number;
  /** What else was in the can, and how strong; nothing where left out. */
  readonly besides?: readonly Agent[];
  /** What the other hand searched with, where each animal is dabbed by itself; without it the whole spot was dabbed. */
  readonly tool?: ToolId;
  /** The spots where the hand went, on a plant of a form; the whole plant where left out. */
  readonly on?: { readonly form: GrowthFormId; readonly weights: PestId; readonly spots: readonly SpotId[] };
}

const NONE: KillRange = { low: 0, likely: 0, high: 0 };
/** Of the thrips pupae so many stay in folds of the leaves, where a spray on them comes; the others lie in the mix (HOUSE). */
const PUPAE_ON_LEAVES = 0.25;

/**
 * An application as the model takes it: a treatment, and what goes on after it has dried.
 * A stage that lives where the remedy does not act dies of it with probability 0: a spray on the leaves does not kill eggs
 * inside them. The technique's reach counts where the hand went, which is some share of the animals of each site; what goes on
 * afterwards lies there only.
 * @example applicationEvents(pests.thrips, { remedy: "soap", technique: "spray" }, 0)[0] // eggs: 0
 */
export function applicationEvents(
  pest: Pest,
  { remedy, technique, potency = 1, besides: others = [], tool, on }: Application,
  atDays: number,
): readonly [TreatmentEvent, ...LastingEvent[]] {
  const agents: readonly Agent[] = [{ remedy, potency }, ...others];
  const habitats = [...new Set(agents.flatMap((agent) => remedyOf(agent.remedy).actsIn))];
  const folded = pest.id === "thrips" && habitats.includes("foliage");
  const { reach } = techniques[technique];
  const there: PerSite = on ? shareOn(on.form, on.weights, on.spots) : [1, 1, 1];
  const soil = there.map((share) => share * PUPAE_ON_LEAVES) as unknown as PerSite;
  const where = habitats.map((habitat) => [habitat, reach] as const);
  const treatment: TreatmentEvent = {
    kind: "treatment",
    atDays,
    kill: pest.stages.map((stage) => together(agents.map((agent) => killBy(agent, technique, pest, stage)))),
    reach: { ...Object.fromEntries(where), ...(folded && { soil: reach }) },
    cover: { ...Object.fromEntries(where.map(([habitat]) => [habitat, there])), ...(folded && { soil }) },
  };
  // Whoever dabs one animal after the other hits those that show.
  const dabbed =
    technique === "dab" && tool && on
      ? { ...treatment, reach: {}, touch: touched(pest, on.weights, on.form, tool), cover: { ...treatment.cover } }
      : treatment;
  const cover = there.map((covered, site) => covered * reach[site]!) as unknown as PerSite;
  return [dabbed, ...agents.flatMap((agent) => goesOn(agent, pest, cover, atDays))];
}

/** What one remedy kills of those of a stage that are hit: none that live where it does not act. */
function killBy({ remedy, potency }: Agent, technique: TechniqueId, pest: Pest, stage: LifeStage): KillRange {
  const { actsIn } = remedyOf(remedy);
  const meets =
    actsIn.includes(stage.where) || (pest.id === "thrips" && stage.id === "pupa" && actsIn.includes("foliage"));
  return meets ? killWith(remedy, technique, pest.id, stage, potency) : NONE;
}

/** What several in one can kill: whoever outlives each of them. They are taken as independent of each other (HOUSE). */
function together(kills: readonly KillRange[]): KillRange {
  if (kills.length === 1) return kills[0]!;
  const of = (bound: keyof KillRange) => 1 - kills.reduce((alive, kill) => alive * (1 - kill[bound]), 1);
  return { low: of("low"), likely: of("likely"), high: of("high") };
}

/** What goes on of a remedy after it has dried, where it went; empty where nothing does. */
function goesOn({ remedy, potency }: Agent, pest: Pest, cover: PerSite, atDays: number): readonly LastingEvent[] {
  const { afterwards, actsIn } = remedyOf(remedy);
  if (!afterwards) return [];
  const { days, hazard, layFactor } = afterwards;
  // Too weak a mix goes on as little as it kills; and it goes on only where it went, against whom it works.
  const share = Math.min(1, potency);
  const after = (stage: LifeStage, rate: number) =>
    actsIn.includes(stage.where) ? rate * share * worksOn(remedy, pest.id, stage) : 0;
  const dailyHazard = pest.stages.map((stage) => {
    const phase = phaseOf(stage);
    return phase === "egg" ? 0 : after(stage, hazard[phase]);
  });
  const lays = pest.stages.find(({ femaleEggs }) => (femaleEggs ?? 0) > 0);
  const effect = { dailyHazard, layFactor: 1 - (lays ? after(lays, 1 - layFactor) : 0), cover, renews: remedy };
  const does = effect.layFactor < 1 || dailyHazard.some((rate) => rate > 0);
  return does ? [{ kind: "lasting", atDays, untilDays: atDays + days, effect }] : [];
}

const shape = z.object({
  kind: z.literal("contact"),
  mix: z.enum(mixIds),
  technique: z.enum(techniqueIds),
  volumeMl: decimal(0.1, 20_000),
  spots: z.array(z.enum(spotIds)).min(1).max(spotIds.length),
  /** What the other hand searched with, for a dab; null where it is not known or nothing was searched. */
  tool: orNothing(z.enum(toolIds)).optional(),
  /** How strong the finished mix was where it was not made by the recipe, as mixing/potency measures it; null where it was. */
  strength: orNothing(decimal(0.0001, 1000)).optional(),
  /** Whether any live animal was seen where each is dabbed by itself; null where nobody said, or the whole spot was wetted. */
  seen: orNothing(z.enum(seenIds)).optional(),
});

export type Contact = z.output<typeof shape>;

/** What was put on and how strong, from an act. */
export function applicationOf({
  mix,
  technique,
  tool,
  strength,
}: Pick<Contact, "mix" | "technique" | "tool" | "strength">): Application {
  const { remedy } = mixes[mix];
  const potency =
    typeof strength === "number" ? potencyAt(remedy, remedy === "alcohol" ? strength / 100 : strength) : potencyOf(mix);
  const others = besides(mix);
  return {
    ...{ remedy, technique, potency },
    ...(others.length > 0 && { besides: others }),
    ...(tool && technique === "dab" && { tool }),
  };
}

/** A mix put on the plant that acts where it touches: dabbed, wiped, sprayed or dunked. */
export const contact = actKind({
  kind: "contact",
  shape,
  doneTo: ["plant"],
  events: (act, { pest, weights, form }, atDays) =>
    cleanLookIn(act) || missesAll(act)
      ? []
      : applicationEvents(pest, { ...applicationOf(act), on: { form, weights, spots: act.spots } }, atDays),
  treats: (act, pest) => {
    const { stages } = pestOf(pest);
    const does = remediesIn(act.mix).some(
      (remedy) => stages.some(({ where }) => remedyOf(remedy).actsIn.includes(where)) && doesTo(remedy, pest) > 0,
    );
    return does && !missesAll(act) && cleanLookIn(act) === null;
  },
  cleanLook: cleanLookIn,
  touches: ({ technique, spots }) => ({
    ...touchesNothing,
    leaves: wets(technique),
    roots: spots.includes("roots"),
    helpers: true,
    air: wets(technique) && technique !== "dunk",
    washed: technique === "dunk",
  }),
  products: ({ mix }) => remediesIn(mix),
  poured: ({ mix, technique, volumeMl, strength }) => ({
    what: { mix },
    volumeMl,
    strength: strength ?? null,
    bath: technique === "dunk",
  }),
  work: () => null,
  cautions: ({ mix }) => cautionsOfMix(mix),
  costs: ({ technique, volumeMl }, potCm) => ({ minutes: minutesFor(technique, potCm), volumeMl }),
  timers: timersOf,
  gnatWay: () => null,
  inPots: () => nothingInPots,
  alike: ({ mix }) => remediesIn(mix).join(" "),
  ahead: () => [{ what: "freeForHelpers", days: SPRAY_FREE_DAYS }],
});

/** What reaches nobody is no treatment: looks made before it stand. */
const missesAll = ({ technique }: Pick<Contact, "technique">) =>
  techniques[technique].reach.every((share) => share === 0);

/** Whether a technique wets more than the animals it is put on. */
function wets(technique: TechniqueId): boolean {
  return !(["dab", "wipe", "neckPour", "rootSoak"] as const).some((one) => one === technique);
}

/** Whoever dabs animal by animal and sees none has looked, and found nothing. */
function cleanLookIn({ technique, tool, spots, seen }: Contact): Search | null {
  return technique === "dab" && seen === "none" && tool ? { tool, spots } : null;
}

const DARK_MINUTES = 24 * 60;
// Rinse off soap and oil after an hour, or leave them: both schools (common practice, no source).
const rinse: TimerProposal = { what: "rinse", minutes: 60, optional: true };

/** Poured on the neck it acts for some minutes and is rinsed off (common practice, no source). */
const ON_THE_NECK: TimerProposal = { what: "contact", minutes: 5, optional: false };

/** 24 hours out of all light after alcohol that was sprayed; a fan after what wets the plant; a rinse in one school. */
function timersOf({ mix, technique }: Contact): readonly TimerProposal[] {
  const remedies = remediesIn(mix);
  const dark: TimerProposal = { what: "dark", minutes: DARK_MINUTES, optional: !wets(technique) };
  const rinsed = remedies.some((remedy) => remedy === "soap" || remedy === "oil");
  return [
    ...(technique === "neckPour" ? [ON_THE_NECK, { ...rinse, minutes: ON_THE_NECK.minutes, optional: false }] : []),
    ...(remedies.includes("alcohol") ? [dark] : []),
    ...(wets(technique) && cautionsOfMix(mix).includes("dryCrown") ? [fan] : []),
    ...(wets(technique) && rinsed ? [rinse] : []),
  ];
}
