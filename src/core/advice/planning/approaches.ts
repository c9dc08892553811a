import type { Sensitivity } from "../../knowledge/plants/sensitivities";
import type { Dose, WorkDose } from "./doses";

/**
 * A way to go about it: one dose each time; a knock-down first and another dose from then on; or another dose in turn. What is done
 * once goes before the first of them, on its day.
 */
export interface Approach {
  readonly id: string;
  readonly once?: WorkDose;
  readonly first?: Dose;
  readonly then: Dose;
  /** Every so manieth treatment is this dose instead: A every k days, with B every so many times k. */
  readonly turn?: { readonly dose: Dose; readonly every: number };
  /** Only for plants that are known to bear this. */
  readonly on?: Sensitivity;
}

/**
 * The ways that are compared. Source: the schools of practice (common practice, no source); which of the many ways to put
 * a remedy on are worth comparing is our own choice (HOUSE).
 */
export const approaches = [
  { id: "alcoholDab", then: { remedy: "alcohol", technique: "dab" } },
  { id: "alcoholWipe", then: { remedy: "alcohol", technique: "wipe" } },
  { id: "alcoholSwab", then: { remedy: "alcohol", technique: "sprayAndSwab" } },
  { id: "alcoholSpray", then: { remedy: "alcohol", technique: "spray" } },
  { id: "soapSpray", then: { remedy: "soap", technique: "spray" } },
  { id: "soapDab", then: { remedy: "soap", technique: "dab" } },
  { id: "soapSwab", then: { remedy: "soap", technique: "sprayAndSwab" } },
  { id: "soapDunk", then: { remedy: "soap", technique: "dunk" } },
  { id: "oilSpray", then: { remedy: "oil", technique: "spray" } },
  { id: "oilSwab", then: { remedy: "oil", technique: "sprayAndSwab" } },
  { id: "rubThenOil", once: { work: "rub" }, then: { remedy: "oil", technique: "spray" } },
  { id: "rubThenAlcohol", once: { work: "rub" }, then: { remedy: "alcohol", technique: "sprayAndSwab" } },
  { id: "rubThenSoap", once: { work: "rub" }, then: { remedy: "soap", technique: "sprayAndSwab" } },
  { id: "cutThenSoap", once: { work: "prune" }, then: { remedy: "soap", technique: "spray" } },
  { id: "cutThenAlcohol", once: { work: "prune" }, then: { remedy: "alcohol", technique: "dab" } },
  { id: "neemSpray", then: { remedy: "neem", technique: "spray" } },
  { id: "neemDunk", then: { remedy: "neem", technique: "dunk" } },
  {
    id: "alcoholThenSoap",
    first: { remedy: "alcohol", technique: "sprayAndSwab" },
    then: { remedy: "soap", technique: "spray" },
  },
  {
    id: "alcoholThenNeem",
    first: { remedy: "alcohol", technique: "sprayAndSwab" },
    then: { remedy: "neem", technique: "spray" },
  },
  { id: "spinosadSpray", then: { remedy: "spinosad", technique: "spray" } },
  {
    id: "spinosadThenSoap",
    first: { remedy: "spinosad", technique: "spray" },
    then: { remedy: "soap", technique: "spray" },
  },
  {
    id: "spinosadSoapInTurn",
    then: { remedy: "soap", technique: "spray" },
    turn: { dose: { remedy: "spinosad", technique: "spray" }, every: 2 },
  },
  {
    id: "pyrethrinsThenSoap",
    first: { remedy: "pyrethrins", technique: "spray" },
    then: { remedy: "soap", technique: "spray" },
  },
  // Of what comes in bottles of its own once, then something to which no pest becomes resistant.
  ...(["permethrin", "acetamiprid", "abamectin", "hexythiazox", "bifenazate"] as const).map(
    (remedy) =>
      ({
        id: `${remedy}ThenSoap`,
        first: { remedy, technique: "spray" },
        then: { remedy: "soap", technique: "spray" },
      }) as const,
  ),
  { id: "sulphurSpray", then: { remedy: "sulphur", technique: "spray" } },
  {
    id: "soapAlcoholInTurn",
    then: { remedy: "soap", technique: "spray" },
    turn: { dose: { remedy: "alcohol", technique: "sprayAndSwab" }, every: 3 },
  },
  {
    id: "soapOilInTurn",
    then: { remedy: "soap", technique: "sprayAndSwab" },
    turn: { dose: { remedy: "oil", technique: "sprayAndSwab" }, every: 2 },
  },
  { id: "unpotThenDrench", first: { work: "unpot" }, then: { work: "drenchNeem" } },
  { id: "unpotThenAlcohol", once: { work: "unpot" }, then: { remedy: "alcohol", technique: "sprayAndSwab" } },
  { id: "unpotThenSystemic", first: { work: "unpot" }, then: { work: "systemic" } },
  { id: "unpotTwice", then: { work: "unpot" } },
  { id: "drenchNeem", then: { work: "drenchNeem" } },
  // What roots take up stops those that feed from then on: something that acts at once goes with it.
  { id: "systemicWithAlcohol", first: { work: "systemic" }, then: { remedy: "alcohol", technique: "sprayAndSwab" } },
  {
    id: "showerAlcoholInTurn",
    then: { work: "shower" },
    turn: { dose: { remedy: "alcohol", technique: "sprayAndSwab" }, every: 4 },
  },
  { id: "predatoryMites", then: { work: "predatoryMites" } },
  { id: "soapThenPredators", first: { remedy: "soap", technique: "spray" }, then: { work: "predatoryMites" } },
  { id: "lacewing", then: { work: "lacewingLarvae" } },
  { id: "soapThenLacewing", first: { remedy: "soap", technique: "spray" }, then: { work: "lacewingLarvae" } },
  { id: "pirateBugs", then: { work: "pirateBugs" } },
  { id: "soapThenPirateBugs", first: { remedy: "soap", technique: "spray" }, then: { work: "pirateBugs" } },
  { id: "mealybugBeetles", then: { work: "mealybugBeetles" } },
  { id: "soapThenBeetles", first: { remedy: "soap", technique: "spray" }, then: { work: "mealybugBeetles" } },
  { id: "bti", then: { work: "drenchBti" } },
  { id: "peroxideThenBti", first: { work: "drenchPeroxide" }, then: { work: "drenchBti" } },
  { id: "nematodes", then: { work: "nematodes" } },
] as const satisfies readonly Approach[];

export type ApproachId = (typeof approaches)[number]["id"];
export const approachIds = approaches.map((a) => a.id) as [ApproachId, ...ApproachId[]];

/** The approach with this id, as the general type. */
export function approachOf(id: ApproachId): Approach {
  return approaches.find((a) => a.id === id)!;
}

/** The dose of the nth treatment (from 0) of an approach. @example doseAt(approachOf("alcoholThenSoap"), 0).remedy // "alcohol" */
export function doseAt({ first, then, turn }: Approach, n: number): Dose {
  if (n === 0 && first) return first;
  return turn && n % turn.every === turn.every - 1 ? turn.dose : then;
}

/** Every dose that an approach uses. */
export function dosesOf({ once, first, then, turn }: Approach): readonly Dose[] {
  return [...(once ? [once] : []), ...(first ? [first] : []), then, ...(turn ? [turn.dose] : [])];
}
