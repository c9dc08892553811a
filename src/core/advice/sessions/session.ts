import type { WorkId } from "../../acts/workIds";
import { workOf } from "../../acts/works";
import { likeness, pouredIn, timersAfter, treats, type Act } from "../../acts/acts";
import type { TimerProposal } from "../../acts/timerIds";
import { groupBy } from "../../shared/groupBy";
import { mixes, type MixId } from "../../knowledge/mixes/mixes";
import { mixVolume, volumeFor } from "../../knowledge/mixes/sprayVolume";
import { carriesOut, type Dose } from "../planning/doses";
import type { LabelObjection } from "../labels/label";
import type { PestId } from "../../knowledge/pests/pests";
import {
  isOneByOne,
  type oneByOne,
  repeatable,
  spotsFor,
  type RemedyId,
  type TechniqueId,
} from "../../knowledge/remedies/remedies";
import type { Search } from "../../model/inspection/see";
import type { ToolId } from "../../model/inspection/tools";
import { spotsOf } from "../../knowledge/plants/growthForms";
import { minutesAt, type Paces } from "./pace";
import { mL, type Millilitres } from "../../units/volume";
import { actObjections } from "../tolerance/actObjections";
import type { TreatedPlant } from "../tolerance/treatedPlant";
import { mixFor } from "../tolerance/mixFor";
import type { Objection } from "../tolerance/suitability";

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
  readonly bearer: TreatedPlant;
  /** Its open cases, each with the step of its plan that is due; null where none is. */
  readonly cases: readonly {
    readonly caseId: string;
    readonly pest: PestId;
    readonly due: { readonly stepId: string; readonly dose: Dose } | null;
  }[];
}

/** How a remedy is put on a group: whoever dabs sees plant by plant what there is, and writes it down there. */
export type GroupTechnique = Exclude<TechniqueId, (typeof oneByOne)[number]>;

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

/** One plant's part of a step of a session. */
export interface SessionLine {
  readonly plantId: string;
  /** What is done to it; null where it is looked at, and nothing is found. */
  readonly act: Act | null;
  /** With what and where it is looked at; null where something is done to it. */
  readonly look: Search | null;
  /** The case that it is a treatment of; null for none. */
  readonly caseId: string | null;
  /** The step of its plan that it carries out; null for none. */
  readonly stepId: string | null;
  readonly against: readonly Objection[];
  /** What its label has against doing it today; it is left to the keeper. */
  readonly label: readonly LabelObjection[];
  /** Whether the plant does not bear it. */
  readonly refused: boolean;
}

/** What one mix of a session takes: a can of its own. */
export interface SessionCan {
  readonly mix: MixId;
  readonly plants: number;
  readonly volumeMl: Millilitres;
  /** The buckets of a bath that pots are soaked in; null for what is sprayed, wiped or dunked. */
  readonly buckets: number | null;
}

/** One step of a session, with a line for each plant that it is for. */
export interface SessionStep<Id extends string = string> {
  readonly id: Id;
  readonly lines: readonly SessionLine[];
  /** Whether it is for some plants only, and nobody knows which: those are ticked by hand. */
  readonly optional?: true;
  /** Whether it is done plant by plant and never for many at once: see {@link isForGroup}. */
  readonly oneByOne?: true;
}

/** What a session does to a plant. @example sessionLine(plant, { kind: "remedy", remedy: "soap", technique: "spray", mix: null }).act?.kind // "contact" */
export function sessionLine(plant: SessionPlant, does: SessionDoes): SessionLine {
  return lineOf(plant, actOf(plant.bearer, does));
}

/**
 * An act as one plant's part of a session: what speaks against it, the case that it is a treatment of, and the step of a plan that it
 * carries out. @example lineOf(hoya, soapSpray).refused // false
 */
export function lineOf({ plantId, bearer, cases }: SessionPlant, act: Act): SessionLine {
  const against = actObjections(act, bearer);
  // What is due goes before what it only helps.
  const due = cases.find((one) => one.due !== null && carriesOut(act, one.due.dose));
  const treated = due ?? cases.find(({ pest }) => treats(act, pest));
  return {
    ...{ plantId, act, look: null, against, label: [] },
    ...{ caseId: treated?.caseId ?? null, stepId: due?.due?.stepId ?? null },
    refused: against.some(({ level }) => level === "refuse"),
  };
}

/** A look at the whole plant as its part of a session. @example lookLine(hoya, "lamp").act // null */
export function lookLine({ plantId, bearer }: Pick<SessionPlant, "plantId" | "bearer">, tool: ToolId): SessionLine {
  const spots = spotsOf(bearer.form).filter((spot) => spot !== "roots");
  return {
    plantId,
    act: null,
    look: { tool, spots },
    caseId: null,
    stepId: null,
    against: [],
    label: [],
    refused: false,
  };
}

/**
 * Whether what a plan asks for may be written down for many plants by one press: whoever dabs or picks sees at each plant what there is,
 * and an unpotted one goes into a pot of its own. @example isForGroup({ remedy: "alcohol", technique: "dab" }) // false
 */
export function isForGroup(dose: { readonly work: WorkId } | { readonly technique: TechniqueId }): boolean {
  return "work" in dose ? groupWorks.some((one) => one === dose.work) : !isOneByOne(dose.technique);
}

/**
 * The steps of a session that goes on while what is asked for changes: a line that was pressed stays, though nothing asks for it any more,
 * so that it can be taken back; every other is as it is asked for now. Those that come late stand at the end. `isPressed` is told a step and a
 * plant. @example goingOn([], due, () => false) // due
 */
export function goingOn<Id extends string>(
  before: readonly SessionStep<Id>[],
  now: readonly SessionStep<Id>[],
  isPressed: (step: Id, plantId: string) => boolean,
): readonly SessionStep<Id>[] {
  const ids = new Set([...before, ...now].map(({ id }) => id));
  return [...ids]
    .map((id) => {
      const [was, is] = [before, now].map((steps) => steps.find((step) => step.id === id));
      const asked = new Map(is?.lines.map((line) => [line.plantId, line]));
      const stays = (was?.lines ?? []).flatMap((line) => {
        const again = asked.get(line.plantId) ?? (isPressed(id, line.plantId) ? line : null);
        asked.delete(line.plantId);
        return again ?? [];
      });
      return { ...(is ?? was)!, lines: [...stays, ...asked.values()] };
    })
    .filter(({ lines }) => lines.length > 0);
}

/** What is on record of a plant that a session may have written: its acts, and whether it was looked at. */
export interface DoneAlready {
  readonly acts: readonly Act[];
  readonly looked: boolean;
}

/**
 * The plants of each step, in order, that have had it: an act on record stands for one step like it, the first that has none yet, so
 * that what is rinsed twice must be on record twice. Steps without plants give empty sets. @example doneIn([], new Map()) // []
 */
export function doneIn(
  steps: readonly SessionStep[],
  record: ReadonlyMap<string, DoneAlready>,
): readonly ReadonlySet<string>[] {
  const left = new Map<string, number>();
  for (const [plantId, { acts }] of record)
    for (const act of acts) {
      const key = `${plantId} ${likeness(act)}`;
      left.set(key, (left.get(key) ?? 0) + 1);
    }
  return steps.map(({ lines }) => {
    const done = lines.filter(({ plantId, act }) => {
      if (!act) return record.get(plantId)?.looked ?? false;
      const key = `${plantId} ${likeness(act)}`;
      const there = left.get(key) ?? 0;
      if (there === 0) return false;
      left.set(key, there - 1);
      return true;
    });
    return new Set(done.map(({ plantId }) => plantId));
  });
}

function actOf(bearer: TreatedPlant, does: SessionDoes): Act {
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
  return repeatable(remedy).filter((one): one is GroupTechnique => !isOneByOne(one));
}

/**
 * What is waited for after what one press has written down, in its order: each kind once and for the longest, what starts by itself first. What was
 * sprayed together dries together; what may be waited for is offered of the last that a plant had, since whoever presses a spray and its
 * rinse together has waited in between (common practice, no source). @example timersAfterPress([]) // []
 */
export function timersAfterPress(
  done: readonly { readonly plantId: string; readonly act: Act | null }[],
): readonly TimerProposal[] {
  const each = done
    .map(({ plantId, act }) => ({ plantId, timers: act ? timersAfter(act) : [] }))
    .filter(({ timers }) => timers.length > 0);
  const last = new Map(each.map(({ plantId, timers }) => [plantId, timers]));
  const all = each
    .flatMap(({ plantId, timers }) => timers.filter(({ optional }) => !optional || timers === last.get(plantId)))
    .toSorted((a, b) => Number(a.optional) - Number(b.optional) || b.minutes - a.minutes);
  return all.filter(({ what }, i) => all.findIndex((one) => one.what === what) === i);
}

/** So much bath a bucket holds that pots are soaked in, mL, and so wide a row of pots fits into it, cm (HOUSE). */
const BUCKET_ML = 5000;
const BUCKET_CM = 40;

/**
 * The cans of a session, the largest first: one for each mix, since what bears 1 % does not bear 2 %. Of dunks a bath that serves all; of
 * pots that are soaked as many buckets as hold them side by side, filled once.
 * @example cansOf([], () => 12) // []
 */
export function cansOf(lines: readonly SessionLine[], potCmOf: (plantId: string) => number): readonly SessionCan[] {
  const poured = lines.flatMap(({ plantId, act }) => {
    const out = act && pouredIn(act);
    return out && "mix" in out.what ? [{ plantId, act, mix: out.what.mix, volumeMl: out.volumeMl }] : [];
  });
  const soaked = poured.filter(({ act }) => act.kind === "drench");
  const buckets = Math.ceil(soaked.reduce((sum, { plantId }) => sum + potCmOf(plantId), 0) / BUCKET_CM);
  return [...groupBy(poured, ({ mix, act }) => `${mix} ${act.kind === "drench"}`).values()]
    .map((some): SessionCan => {
      const { mix, act } = some[0]!;
      const plants = new Set(some.map(({ plantId }) => plantId)).size;
      if (act.kind === "drench") return { mix, plants, volumeMl: mL(buckets * BUCKET_ML), buckets };
      const put = some.flatMap(({ plantId, act: one }) =>
        one.kind === "contact" ? [{ technique: one.technique, potCm: potCmOf(plantId) }] : [],
      );
      return { mix, plants, volumeMl: mixVolume(put), buckets: null };
    })
    .toSorted((a, b) => b.volumeMl - a.volumeMl);
}

/** Minutes of a look at one plant on the way through many (HOUSE). */
const LOOK_MINUTES = 2;

/** Minutes of hands that a session takes: at one's own pace where that is known, as reckoned elsewhere (HOUSE). */
export function minutesOf(
  lines: readonly SessionLine[],
  potCmOf: (plantId: string) => number,
  paces: Paces = {},
): number {
  return lines.reduce(
    (sum, { plantId, act }) => sum + (act ? minutesAt(paces, act, potCmOf(plantId)) : LOOK_MINUTES),
    0,
  );
}

/** The remedies that a session may use: those of a mix. */
export const sessionRemedies = [...new Set(Object.values(mixes).map(({ remedy }) => remedy))] as readonly RemedyId[];
