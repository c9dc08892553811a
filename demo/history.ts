import type { SignId } from "../src/core/knowledge/signs/signs";
import type { SeverityId } from "../src/core/model/inspection/severity";
import type { ToolId } from "../src/core/model/inspection/tools";
import type { MixId } from "../src/core/knowledge/mixes/mixes";
import type { PestId } from "../src/core/knowledge/pests/pests";
import type { SpotId } from "../src/core/knowledge/plants/spots";
import type { TechniqueId } from "../src/core/knowledge/remedies/remedies";
import type { OutcomeId } from "../src/core/record/facts/kinds/closing";

/** Signs that were looked for when it was named. */
interface SignsSeen {
  readonly present: readonly SignId[];
  readonly absent: readonly SignId[];
  /** What they spoke for, where the keeper had another word. */
  readonly spokeFor?: PestId | null;
}

/** What happened out of the ordinary, `ago` days before today; the weekly rounds are made by the loader. */
export type Happening = { readonly ago: number; readonly plant: string } & (
  | {
      readonly command: "find";
      readonly pest: PestId;
      readonly severity: SeverityId;
      readonly count?: number;
      readonly removed?: boolean;
      readonly note: string;
      readonly tool?: ToolId;
      readonly signs?: SignsSeen;
    }
  | {
      readonly command: "look";
      readonly note: string;
      readonly tool: ToolId;
      readonly signs?: SignsSeen;
      /** Every place above the roots, and not only those of a round. */
      readonly everywhere?: true;
    }
  | { readonly command: "apart" | "bag" | "back" }
  | {
      readonly command: "plan";
      readonly pest: PestId;
      readonly mix: MixId;
      readonly technique: TechniqueId;
      readonly everyDays: number;
      readonly times: number;
    }
  | { readonly command: "treat"; readonly pest: PestId; readonly volumeMl: number; readonly note?: string }
  | { readonly command: "close"; readonly pest: PestId; readonly outcome: OutcomeId; readonly note: string }
  | { readonly command: "arrive" }
);

/** Hiding places that a quick round takes in, where the plant has them. */
export const roundSpots: readonly SpotId[] = ["crown", "axil", "underside", "newLeaf", "gap", "neck"];

/** The newcomer, bought on the day it arrives. */
export const arrival = {
  code: "N01",
  name: "Slipper orchid",
  genus: "Paphiopedilum",
  potCm: 11,
  seller: "The glasshouse on the hill",
} as const;

export const happenings: readonly Happening[] = [
  // Closed: mealybug on a wax flower, dabbed three times, watched until clear.
  {
    ago: 66,
    plant: "L01",
    command: "find",
    pest: "mealybug",
    severity: "light",
    count: 5,
    note: "Cotton in two joints on the wall side.",
    signs: { present: ["cottonTufts", "stickyFilm"], absent: ["rootMeal", "ants"] },
  },
  { ago: 66, plant: "L01", command: "apart" },
  {
    ago: 66,
    plant: "L01",
    command: "plan",
    pest: "mealybug",
    mix: "alcoholFull",
    technique: "sprayAndSwab",
    everyDays: 7,
    times: 4,
  },
  { ago: 66, plant: "L01", command: "treat", pest: "mealybug", volumeMl: 85 },
  { ago: 59, plant: "L01", command: "treat", pest: "mealybug", volumeMl: 85 },
  { ago: 52, plant: "L01", command: "treat", pest: "mealybug", volumeMl: 80, note: "One crawler under an old sheath." },
  { ago: 45, plant: "L01", command: "treat", pest: "mealybug", volumeMl: 80 },
  { ago: 37, plant: "L01", command: "look", tool: "loupe", note: "Nothing, joints and undersides." },
  { ago: 29, plant: "L01", command: "look", tool: "loupe", note: "Nothing. New leaf is clean." },
  { ago: 23, plant: "L01", command: "look", tool: "loupe", note: "Nothing." },
  {
    ago: 22,
    plant: "L01",
    command: "close",
    pest: "mealybug",
    outcome: "clear",
    note: "Three clean looks, new growth without a mark.",
  },
  { ago: 22, plant: "L01", command: "back" },

  // Closed: a nerve plant overrun with mites, given up for the sake of the shelf.
  {
    ago: 50,
    plant: "R11",
    command: "find",
    pest: "spiderMite",
    severity: "overrun",
    note: "Webbing over every shoot.",
    signs: { present: ["webbing", "stippling", "grittyDust"], absent: [] },
    tool: "loupe",
  },
  { ago: 50, plant: "R11", command: "bag" },
  {
    ago: 49,
    plant: "R11",
    command: "close",
    pest: "spiderMite",
    outcome: "givenUp",
    note: "Small, easily had again. Bagged and binned.",
  },

  // Running: mites on the painted croton, animals at the last look, the third spray due today.
  {
    ago: 12,
    plant: "L08",
    command: "find",
    pest: "spiderMite",
    severity: "patch",
    note: "Stippling first seen; paper under the leaf crept.",
    signs: { present: ["stippling", "creepingSpecks"], absent: ["webbing", "silverStreaks"] },
    tool: "paper",
  },
  { ago: 12, plant: "L08", command: "apart" },
  {
    ago: 12,
    plant: "L08",
    command: "plan",
    pest: "spiderMite",
    mix: "soapMild",
    technique: "spray",
    everyDays: 6,
    times: 4,
  },
  { ago: 12, plant: "L08", command: "treat", pest: "spiderMite", volumeMl: 90 },
  { ago: 6, plant: "L08", command: "treat", pest: "spiderMite", volumeMl: 90 },
  {
    ago: 3,
    plant: "L08",
    command: "find",
    pest: "spiderMite",
    severity: "light",
    count: 4,
    note: "Still four on the lowest leaf.",
    tool: "loupe",
  },

  // Running: mealybug on the blue echeveria, treated out, one clean look, petals opening.
  {
    ago: 40,
    plant: "R01",
    command: "find",
    pest: "mealybug",
    severity: "trace",
    count: 2,
    removed: true,
    note: "Two in the centre, lifted out.",
    signs: { present: ["cottonTufts", "alcoholDissolves"], absent: ["stickyFilm"] },
  },
  { ago: 40, plant: "R01", command: "apart" },
  {
    ago: 40,
    plant: "R01",
    command: "plan",
    pest: "mealybug",
    mix: "alcoholHalf",
    technique: "dab",
    everyDays: 7,
    times: 3,
  },
  { ago: 40, plant: "R01", command: "treat", pest: "mealybug", volumeMl: 5 },
  { ago: 33, plant: "R01", command: "treat", pest: "mealybug", volumeMl: 5 },
  { ago: 26, plant: "R01", command: "treat", pest: "mealybug", volumeMl: 5 },
  { ago: 10, plant: "R01", command: "look", tool: "loupe", note: "Nothing in the centre or between the leaves." },

  // Running: thrips on the young split-leaf under a bag, the second spray two days late.
  {
    ago: 8,
    plant: "L10",
    command: "find",
    pest: "thrips",
    severity: "light",
    count: 7,
    note: "Silver streaks on the newest leaf, black specks.",
    signs: { present: ["silverStreaks", "blackSpecks", "runningSpecks"], absent: ["webbing"] },
    tool: "lamp",
  },
  { ago: 8, plant: "L10", command: "bag" },
  {
    ago: 8,
    plant: "L10",
    command: "plan",
    pest: "thrips",
    mix: "soapMild",
    technique: "spray",
    everyDays: 6,
    times: 5,
  },
  { ago: 8, plant: "L10", command: "treat", pest: "thrips", volumeMl: 95 },

  // Found yesterday and not yet set apart.
  {
    ago: 1,
    plant: "L04",
    command: "find",
    pest: "softScale",
    severity: "light",
    count: 6,
    note: "Brown bumps along the midribs, sill is sticky.",
    signs: { present: ["fixedBumps", "stickyFilm", "scrapeSmears"], absent: ["shellLifts"] },
    tool: "lamp",
  },

  // White grains taken for mealybugs: perlite, and the keeper's own word.
  {
    ago: 17,
    plant: "R16",
    command: "look",
    tool: "lamp",
    note: "White grains at the neck were perlite.",
    signs: { present: ["rootMeal", "yellowing"], absent: ["alcoholDissolves"], spokeFor: "rootMealybug" },
  },

  { ago: 5, plant: "N01", command: "arrive" },
  {
    ago: 5,
    plant: "N01",
    command: "look",
    tool: "lamp",
    note: "Inspected on arrival, pot and label too.",
    everywhere: true,
  },
];
