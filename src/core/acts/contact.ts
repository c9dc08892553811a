import { z } from "zod";
import { decimal } from "../fields";
import { mixes, mixIds } from "../mixing/mixes";

import type { Pest, PestId } from "../pests/pests";
import type { GrowthFormId } from "../plants/growthForms";
import { shareOn } from "../plants/spotWeights";
import { spotIds, type SpotId } from "../plants/spots";
import type { LastingEvent, TreatmentEvent } from "../population/events";
import {
  killOf,
  remedyOf,
  techniqueIds,
  techniques,
  type KillRange,
  type RemedyId,
  type TechniqueId,
} from "../remedies/remedies";
import { minutesFor } from "./effort";
import { actKind } from "./kind";

/** What was put on, how and where. */
export interface Application {
  readonly remedy: RemedyId;
  readonly technique: TechniqueId;
  /** The spots that were reached, on a plant of a form; the whole plant where left out. */
  readonly on?: { readonly form: GrowthFormId; readonly weights: PestId; readonly spots: readonly SpotId[] };
}

const NONE: KillRange = { low: 0, likely: 0, high: 0 };

/**
 * An application as the model takes it: a treatment, and what goes on after it has dried.
 * A stage that lives where the remedy does not act dies of it with probability 0: a spray on the leaves kills neither eggs
 * inside them nor pupae in the mix. The technique's reach counts for the spots named, by the animals that sit there.
 * @example applicationEvents(pests.thrips, { remedy: "soap", technique: "spray" }, 0)[0] // eggs and pupae: 0
 */
export function applicationEvents(
  pest: Pest,
  { remedy: remedyId, technique, on }: Application,
  atDays: number,
): readonly [TreatmentEvent, ...LastingEvent[]] {
  const remedy = remedyOf(remedyId);
  const kill = pest.stages.map((stage) =>
    remedy.actsIn.includes(stage.where) ? killOf(remedyId, pest.id, stage) : NONE,
  );
  const [open, sheltered] = on ? shareOn(on.form, on.weights, on.spots) : [1, 1];
  const hit = techniques[technique];
  const treated = [hit.open * open, hit.sheltered * sheltered] as const;
  const reach = Object.fromEntries(remedy.actsIn.map((habitat) => [habitat, treated]));
  const treatment: TreatmentEvent = { kind: "treatment", atDays, kill, reach };
  if (!remedy.afterwards) return [treatment];
  const { days, layFactor } = remedy.afterwards;
  const effect = { dailyHazard: pest.stages.map(() => 0), layFactor };
  return [treatment, { kind: "lasting", atDays, untilDays: atDays + days, effect }];
}

/** A mix put on the plant that acts where it touches: dabbed, wiped, sprayed or dunked. */
export const contact = actKind({
  kind: "contact",
  shape: z.object({
    kind: z.literal("contact"),
    mix: z.enum(mixIds),
    technique: z.enum(techniqueIds),
    volumeMl: decimal(0.1, 20_000),
    spots: z.array(z.enum(spotIds)).min(1).max(spotIds.length),
  }),
  doneTo: ["plant"],
  events: ({ mix, technique, spots }, { pest, weights, form }, atDays) =>
    applicationEvents(pest, { remedy: mixes[mix].remedy, technique, on: { form, weights, spots } }, atDays),
  cautions: ({ mix }) => remedyOf(mixes[mix].remedy).cautions,
  costs: ({ technique, volumeMl }, potCm) => ({ minutes: minutesFor(technique, potCm), volumeMl }),
});
