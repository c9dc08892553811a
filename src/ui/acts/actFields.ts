import type { ActKindId } from "@/core/acts/acts";
import { cleanedIds, cleanerIds } from "@/core/acts/clean";
import { dustedOn } from "@/core/acts/dust";
import { cuttingsIds, guidedByEye, mechanicalWays, type MechanicalWay } from "@/core/acts/mechanical";
import { drenchVolume, wetnessIds } from "@/core/acts/drench";
import { toolIds } from "@/core/model/inspection/tools";
import { mixes, mixIds, type MixId } from "@/core/knowledge/mixes/mixes";
import { volumeFor } from "@/core/knowledge/mixes/sprayVolume";
import { spotsOf, type GrowthFormId } from "@/core/knowledge/plants/growthForms";
import {
  cultureIds,
  predatorIds,
  predators,
  systemicIds,
  type LastingRemedy,
  type PredatorId,
} from "@/core/knowledge/remedies/lasting";
import { spotsFor, techniquesOn } from "@/core/knowledge/remedies/remedies";
import { soilRemedyIds } from "@/core/knowledge/remedies/soilRemedies";
import {
  cleanedNames,
  cleanerNames,
  cultureNames,
  cuttingsNames,
  dustedNames,
  mechanicalNames,
  predatorNames,
  soilRemedyNames,
  systemicNames,
  wetnessNames,
} from "@/wording/names/acts";
import { mixNames, techniqueNames, toolNames } from "@/wording/names/names";
import type { Quantity } from "../fields/QuantityField";

/** What an act is done to, as far as its form needs it. */
export interface ActedOn {
  readonly growthForm: GrowthFormId;
  readonly potCm: number;
}

/** The parameters of an act as they stand in a form. */
export type Draft = Readonly<Record<string, unknown>> & { readonly kind: ActKindId };

/** One parameter of an act in a form. */
export interface ActField {
  readonly name: string;
  readonly label: string;
  readonly hint?: string;
  /** What a number is a number of, where keepers measure it in their own units. */
  readonly of?: Quantity;
  readonly as: "choice" | "number" | "text" | "spots";
  readonly options?: (draft: Draft, growthForm: GrowthFormId) => readonly (readonly [string, string])[];
  readonly begin: (on: ActedOn) => unknown;
  /** Whether it is asked for; always where left out. */
  readonly when?: (draft: Draft) => boolean;
}

const named = <T extends string>(ids: readonly T[], names: Readonly<Record<T, string>>) =>
  ids.map((id) => [id, names[id]] as const);
/** Spots on and in the mix are reached by drenching and unpotting, not from above. */
const above = ({ growthForm }: ActedOn) => spotsOf(growthForm).filter((spot) => spot !== "roots" && spot !== "pot");
const wayOf = (draft: Draft) => draft.way as MechanicalWay;

/** Whoever goes by the eye and sees none has made a look that found nothing, and no treatment. */
const saw: ActField = {
  name: "seen",
  label: "What you saw",
  hint: "None seen counts as a clean look, not as a treatment.",
  as: "choice",
  options: () => [
    ["some", "Live animals"],
    ["none", "None"],
  ],
  begin: () => "some",
};

/** The fields of each kind of act, in the order in which they are asked. */
export const actFields: Readonly<Record<ActKindId, readonly ActField[]>> = {
  contact: [
    { name: "mix", label: "Mix", as: "choice", options: () => named(mixIds, mixNames), begin: () => "alcoholHalf" },
    {
      name: "technique",
      label: "How",
      as: "choice",
      options: (draft, form) => named(techniquesOn(mixes[draft.mix as MixId].remedy, form), techniqueNames),
      begin: () => "dab",
    },
    {
      name: "volumeMl",
      label: "How much",
      of: "volume",
      hint: "Estimated from the pot; enter what you used.",
      as: "number",
      begin: ({ potCm }) => volumeFor("dab", potCm),
    },
    {
      name: "tool",
      label: "What you searched with",
      as: "choice",
      options: () => named(toolIds, toolNames),
      begin: () => "lamp",
      when: (draft) => draft.technique === "dab",
    },
    { ...saw, when: (draft) => draft.technique === "dab" },
    {
      name: "strength",
      label: "Strength, if not as in the recipe",
      hint: "Alcohol and oil in %, soap and neem in mL per litre. Empty: as in the recipe.",
      as: "number",
      begin: () => "",
    },
    {
      name: "spots",
      label: "Which places you reached",
      as: "spots",
      begin: ({ growthForm }) => spotsFor("dab", growthForm),
    },
  ],
  drench: [
    {
      name: "remedy",
      label: "What",
      as: "choice",
      options: () => named(soilRemedyIds, soilRemedyNames),
      begin: () => soilRemedyIds[0],
    },
    {
      name: "volumeMl",
      label: "How much per pot",
      of: "volume",
      hint: "Until it runs through; estimated from the pot.",
      as: "number",
      begin: ({ potCm }) => drenchVolume(potCm),
    },
    {
      name: "before",
      label: "How the mix feels, a finger deep",
      as: "choice",
      options: () => named(wetnessIds, wetnessNames),
      begin: () => "moist",
    },
  ],
  mechanical: [
    {
      name: "way",
      label: "How",
      as: "choice",
      options: () => named(mechanicalWays, mechanicalNames),
      begin: () => "pickOff",
    },
    {
      name: "tool",
      label: "What you searched with",
      as: "choice",
      options: () => named(toolIds, toolNames),
      begin: () => "lamp",
      when: (draft) => guidedByEye(wayOf(draft)) || draft.way === "unpot",
    },
    { ...saw, when: (draft) => guidedByEye(wayOf(draft)) },
    {
      name: "percent",
      label: "How much of the plant you cut off, %",
      as: "number",
      begin: () => "",
      when: (draft) => draft.way === "prune",
    },
    {
      name: "cuttings",
      label: "What became of the cuttings",
      hint: "Cuttings put back into the same pot bring their pests back with them: that counts as no treatment.",
      as: "choice",
      options: () => named(cuttingsIds, cuttingsNames),
      begin: () => "binned",
      when: (draft) => draft.way === "prune",
    },
    {
      name: "mix",
      label: "The potting mix meanwhile",
      hint: "What falls on bare mix climbs back up.",
      as: "choice",
      options: () => [
        ["covered", "Covered with paper or film"],
        ["bare", "Left uncovered"],
      ],
      begin: () => "covered",
      when: (draft) => draft.way === "shower",
    },
    { name: "spots", label: "Which places", as: "spots", begin: above },
  ],
  systemic: [
    {
      name: "remedy",
      label: "What",
      as: "choice",
      options: () => named(systemicIds, systemicNames),
      begin: () => systemicIds[0],
    },
    {
      name: "given",
      label: "Active ingredient and dose",
      hint: "As the label says.",
      as: "text",
      begin: () => "",
    },
  ],
  release: [
    {
      name: "predator",
      label: "What",
      as: "choice",
      options: () => named(predatorIds, predatorNames),
      begin: () => predatorIds[0],
    },
    { name: "sachets", label: "Sachets or tubes", as: "number", begin: () => 1 },
    {
      name: "where",
      label: "Where",
      hint: "In an open room lady beetles fly to the window.",
      as: "choice",
      options: () => [
        ["cabinet", "In a closed cabinet"],
        ["open", "In the open room"],
      ],
      begin: () => "open",
      when: (draft) => (predators[draft.predator as PredatorId] as LastingRemedy).onlyEnclosed ?? false,
    },
  ],
  trap: [
    {
      name: "lure",
      label: "Type of trap",
      as: "choice",
      options: () => [
        ["card", "Sticky cards"],
        ["vinegar", "Cups of vinegar with a drop of soap"],
      ],
      begin: () => "card",
    },
    { name: "cards", label: "How many", as: "number", begin: () => 1 },
    { name: "days", label: "For how many days", as: "number", begin: () => 14 },
  ],
  dust: [
    {
      name: "on",
      label: "Where",
      as: "choice",
      options: () => named(dustedOn, dustedNames),
      begin: () => "leaves",
    },
    { name: "dryDays", label: "Likely dry days", as: "number", begin: () => 7 },
  ],
  culture: [
    {
      name: "way",
      label: "How",
      as: "choice",
      options: () => named(cultureIds, cultureNames),
      begin: () => cultureIds[0],
    },
    { name: "days", label: "For how many days", as: "number", begin: () => 30 },
  ],
  clean: [
    { name: "what", label: "What", as: "choice", options: () => named(cleanedIds, cleanedNames), begin: () => "shelf" },
    {
      name: "with",
      label: "With",
      as: "choice",
      options: () => named(cleanerIds, cleanerNames),
      begin: () => "soapyWater",
    },
  ],
};

/** What a form of a kind begins with. */
export function draftOf(kind: ActKindId, on: ActedOn): Draft {
  return { kind, ...Object.fromEntries(actFields[kind].map(({ name, begin }) => [name, begin(on)])) };
}

/** The parameters without those that are not asked for as things are: these are nothing. */
export function askedFor(draft: Draft): Draft {
  const left = actFields[draft.kind].filter(({ when }) => when && !when(draft)).map(({ name }) => [name, null]);
  return { ...draft, ...Object.fromEntries(left) };
}
