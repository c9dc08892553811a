import type { WorkId } from "../acts/workIds";
import { workOf } from "../acts/works";
import { costsOfAct, treats, type Act } from "../acts/acts";
import { groupBy } from "../groupBy";
import { mixes, type MixId } from "../mixing/mixes";
import { sittingVolume, volumeFor } from "../mixing/sprayVolume";
import { isWork, type Dose } from "../planning/doses";
import type { PestId } from "../pests/pests";
import { remedyOf, spotsFor, type RemedyId, type TechniqueId } from "../remedies/remedies";
import type { Millilitres } from "../units/volume";
import { actObjections } from "../suitability/actObjections";
import type { Bearer } from "../suitability/bearer";
import { mixFor } from "../suitability/mixFor";
import type { Objection } from "../suitability/suitability";

/** Works that are done to a whole group as they are to one plant. */
export const groupWorks = [
  "shower",
  "rub",
  "prune",
  "drenchNeem",
  "drenchBti",
  "drenchPeroxide",
] as const satisfies readonly WorkId[];

/** A plant that may take part in a session. */
export interface SessionPlant {
  readonly plantId: string;
  readonly code: string;
  readonly bearer: Bearer;
  /** Its open cases, each with the step of its plan that is due; null where none is. */
  readonly cases: readonly {
    readonly caseId: string;
    readonly pest: PestId;
    readonly due: { readonly stepId: string; readonly dose: Dose } | null;
  }[];
}

/** How a remedy is put on a group: whoever dabs sees plant by plant what there is, and writes it down there. */
export type GroupTechnique = Exclude<TechniqueId, "dab">;

/** What is done to all of them: a remedy, in one mix or in the one that each bears; or a work of the hands. */
export type SessionDoes =
  | {
      readonly kind: "remedy";
      readonly remedy: RemedyId;
      readonly technique: GroupTechnique;
      /** Null: each in the mix that it bears. */
      readonly mix: MixId | null;
    }
  | { readonly kind: "work"; readonly work: WorkId };

/** One plant's part of a session. */
export interface SessionLine {
  readonly plantId: string;
  readonly act: Act;
  /** The case that it is a treatment of; null for none. */
  readonly caseId: string | null;
  /** The step of its plan that it carries out; null for none. */
  readonly stepId: string | null;
  readonly against: readonly Objection[];
  /** Whether the plant does not bear it. */
  readonly refused: boolean;
}

/** What one mix of a session takes: a can of its own. */
export interface SessionCan {
  readonly mix: MixId;
  readonly plants: number;
  readonly volumeMl: Millilitres;
}

/** What a session does to a plant. @example sessionLine(plant, { kind: "remedy", remedy: "soap", technique: "spray", mix: null }).act.kind // "contact" */
export function sessionLine({ plantId, bearer, cases }: SessionPlant, does: SessionDoes): SessionLine {
  const act = actOf(bearer, does);
  const against = actObjections(act, bearer);
  // What is due goes before what it only helps.
  const due = cases.find((one) => one.due !== null && carriesOut(does, one.due.dose));
  const treated = due ?? cases.find(({ pest }) => treats(act, pest));
  return {
    ...{ plantId, act, against, caseId: treated?.caseId ?? null, stepId: due?.due?.stepId ?? null },
    refused: against.some(({ level }) => level === "refuse"),
  };
}

/** Whether it is what a step asks for: the same remedy, however it is put on, or the same work. */
function carriesOut(does: SessionDoes, dose: Dose): boolean {
  if (isWork(dose)) return does.kind === "work" && does.work === dose.work;
  return does.kind === "remedy" && does.remedy === dose.remedy;
}

function actOf(bearer: Bearer, does: SessionDoes): Act {
  const { form, potCm } = bearer;
  if (does.kind === "work") return workOf(does.work).act(bearer);
  const { technique } = does;
  return {
    ...{ kind: "contact", mix: does.mix ?? mixFor(does.remedy, bearer), technique },
    ...{ volumeMl: volumeFor(technique, potCm), spots: spotsFor(technique, form) },
  };
}

/** The techniques that a remedy takes on a group. @example groupTechniques("alcohol").includes("spray") // true */
export function groupTechniques(remedy: RemedyId): readonly GroupTechnique[] {
  return remedyOf(remedy).techniques.filter((technique): technique is GroupTechnique => technique !== "dab");
}

/**
 * The cans of a session, the largest first: one for each mix, since what bears 1 % does not bear 2 %. Of dunks a bath that serves all.
 * @example cansOf([], []) // []
 */
export function cansOf(lines: readonly SessionLine[], potCmOf: (plantId: string) => number): readonly SessionCan[] {
  const contact = lines.flatMap(({ plantId, act }) => (act.kind === "contact" ? [{ plantId, act }] : []));
  return [...groupBy(contact, ({ act }) => act.mix)]
    .map(([mix, some]) => ({
      ...{ mix, plants: some.length },
      volumeMl: sittingVolume(some.map(({ plantId, act }) => ({ technique: act.technique, potCm: potCmOf(plantId) }))),
    }))
    .toSorted((a, b) => b.volumeMl - a.volumeMl);
}

/** Minutes of hands that a session takes (HOUSE). */
export function minutesOf(lines: readonly SessionLine[], potCmOf: (plantId: string) => number): number {
  return lines.reduce((sum, { plantId, act }) => sum + costsOfAct(act, potCmOf(plantId)).minutes, 0);
}

/** The remedies that a session may use: those of a mix. */
export const sessionRemedies = [...new Set(Object.values(mixes).map(({ remedy }) => remedy))] as readonly RemedyId[];
