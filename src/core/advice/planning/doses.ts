import { minutesFor } from "../../acts/effort";
import { costsOfAct, workIn, type Act } from "../../acts/acts";
import type { WorkId } from "../../acts/workIds";
import { workOf, works, type WorkedOn } from "../../acts/works";
import { predators, systemics, type PredatorId } from "../../knowledge/remedies/lasting";
import { remedyOf, type RemedyId, type TechniqueId } from "../../knowledge/remedies/remedies";
import { remediesIn, type MixId } from "../../knowledge/mixes/mixes";
import { mixVolume } from "../../knowledge/mixes/sprayVolume";
import { SPRAY_FREE_DAYS } from "../../knowledge/remedies/naturalEnemies";

/** A remedy put on in one way. */
export interface ContactDose {
  readonly remedy: RemedyId;
  readonly technique: TechniqueId;
  /** The mix it is made up as; the one proposed for the plant where left out. */
  readonly mix?: MixId;
}

/** A work of another kind: unpotting, a drench, animals let loose. */
export interface WorkDose {
  readonly work: WorkId;
}

/** What is done on one day of a plan. */
export type Dose = ContactDose | WorkDose;

/** By what courses are counted: the remedy put on, or the work. */
export type CourseId = RemedyId | WorkId;

/** Whether a dose is a work. */
export function isWork<T extends object>(dose: T): dose is T & WorkDose {
  return "work" in dose;
}

/** Whether an act is what a dose asks for: the same remedy, however it is put on, or the same work. @example carriesOut(soapSpray, { work: "unpot" }) // false */
export function carriesOut(act: Act, dose: Dose): boolean {
  if (isWork(dose)) return workIn(act) === dose.work;
  return act.kind === "contact" && remediesIn(act.mix).includes(dose.remedy);
}

/** What something planned is prepared as: its mix, or the work that it is. @example treatmentOf({ work: "unpot" }) // "unpot" */
export function treatmentOf(planned: { readonly work: WorkId } | { readonly mix: MixId }): MixId | WorkId {
  return "work" in planned ? planned.work : planned.mix;
}

/** What a dose counts as in a course. @example courseOf({ work: "unpot" }) // "unpot" */
export function courseOf(dose: Dose): CourseId {
  return isWork(dose) ? dose.work : dose.remedy;
}

/** Each remedy of a dose by itself: of a can as many as are in it. @example eachOf({ remedy: "soap", technique: "spray", mix: "soapAlcohol" }) // soap and alcohol, sprayed */
export function eachOf(dose: Dose): readonly Dose[] {
  if (isWork(dose) || !dose.mix) return [dose];
  const remedies = remediesIn(dose.mix);
  return remedies.length === 1 ? [dose] : remedies.map((remedy) => ({ remedy, technique: dose.technique }));
}

/** Fewest days between two of what a dose counts as, and most of it in one course. */
export interface Limits {
  readonly smallestIntervalDays: number;
  readonly mostTimes: number;
}

/** The limits of the tables; a keeper's own label may say otherwise. */
export function limitsOf(course: CourseId): Limits {
  return isWorkId(course) ? workOf(course) : remedyOf(course);
}

export const isWorkId = (course: CourseId): course is WorkId => course in works;
const isPredator = (course: CourseId): course is PredatorId => course in predators;

/** Between two treatments with different remedies there is at least so much (HOUSE). */
export const OTHER_REMEDY_DAYS = 2;

/**
 * Fewest days from something done to a dose: its own interval for the same; helpful animals come two weeks after a spray, and no
 * spray or bath comes while they live; what is dabbed or wiped, water and hands kill none of them that matter. `own` is the limit of
 * the dose itself where a label says another than the tables.
 * @example gapBetween("soap", { work: "predatoryMites" }) // 14
 */
export function gapBetween(before: CourseId, dose: Dose, own: Limits = limitsOf(courseOf(dose))): number {
  const after = courseOf(dose);
  if (before === after) return own.smallestIntervalDays;
  if (isPredator(after) && !isWorkId(before)) return SPRAY_FREE_DAYS;
  if (isPredator(before) && !isWork(dose) && !onTheSpot.includes(dose.technique)) return predators[before].untilDay;
  if (burnsAfter(before, after)) return OIL_AND_SULPHUR_DAYS;
  return OTHER_REMEDY_DAYS;
}

/** Oil and neem burn leaves on which there is sulphur, and sulphur those on which there is oil (labels, from memory). */
const OIL_AND_SULPHUR_DAYS = 14;
function burnsAfter(before: CourseId, after: CourseId): boolean {
  const oily = (course: CourseId) => course === "oil" || course === "neem";
  return (before === "sulphur" && oily(after)) || (oily(before) && after === "sulphur");
}

/** Ways to put a remedy on that leave the rest of the plant as it is. */
const onTheSpot: readonly TechniqueId[] = ["dab", "wipe"];

/** Minutes that a dose takes on a plant. Throws RangeError unless its pot is wider than 0. */
export function minutesOfDose(dose: Dose, on: WorkedOn): number {
  return isWork(dose) ? costsOfAct(workOf(dose.work).act(on), on.potCm).minutes : minutesFor(dose.technique, on.potCm);
}

/** What a dose takes of a finished mix, mL; 0 where nothing is mixed. Throws as {@link minutesOfDose} does. */
export function volumeOfDose(dose: Dose, on: WorkedOn): number {
  if (isWork(dose)) return costsOfAct(workOf(dose.work).act(on), on.potCm).volumeMl;
  return mixVolume([{ technique: dose.technique, potCm: on.potCm }]);
}

/** Whether a dose lets helpful animals loose. @example letsLoose({ work: "unpot" }) // false */
export function letsLoose(dose: Dose): boolean {
  return isWork(dose) && isPredator(dose.work);
}

/** How long a dose goes on working by itself, days: a schedule that ends with it is not over before. 0 for what acts at once. */
export function lastsDays(dose: Dose): number {
  const course = courseOf(dose);
  if (course === "systemic") return systemics.throughTheRoots.untilDay;
  return isPredator(course) ? predators[course].untilDay : 0;
}
