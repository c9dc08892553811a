import type { Day } from "../../shared/days";
import type { PlantRecord } from "../../record/cases/record";
import type { PlannedDose } from "../../record/facts/kinds/programme";
import type { PlantState } from "../../knowledge/plants/states";

/** What a programme is about. Those of places are still to come. */
export type ProgrammeSubject = "plant" | "place";

/** What is known of the chance that a plant carries something unseen. */
export interface Risk {
  /** The last chance that was reckoned, 0–1, without what remained of cases called clear: those are guarded. Null for none. */
  readonly p: number | null;
  /** Whether it speaks of the facts as they are. */
  readonly current: boolean;
  /** From which chance on it is at risk. */
  readonly from: number;
  /** Whether plants that are unlikely to carry anything are looked at less often. */
  readonly stretch: boolean;
}

/** For whoever asks of treatments alone: nothing is known of the risk. */
export const riskNotAsked: Risk = { p: null, current: true, from: 1, stretch: false };

/** What programmes are asked about: a plant's record, how its keeper works, and what is known of its cases. */
export interface ProgrammeFacts {
  readonly record: PlantRecord;
  readonly lookEveryDays: number;
  readonly risk: Risk;
  /** Petals of an open case, 1–5, by how likely it is over. */
  readonly petalsOf: (caseId: string) => number;
}

/** Something that falls due. */
export interface Due {
  readonly what: "look" | "treat";
  readonly on: Day;
  readonly programme: ProgrammeKindId;
  /** The case it is for; null for what belongs to none. */
  readonly caseId: string | null;
  /** The planned step it carries out, and what that is done with; null for a look without a plan. */
  readonly stepId: string | null;
  readonly dose: PlannedDose | null;
}

/** How a programme stands on a day. */
export interface Verdict {
  /** What it makes of the plant's mark; null where it does not run. */
  readonly state: Exclude<PlantState, "overdue"> | null;
  /** 1–5 filled petals where the state is `surer`, else 0. */
  readonly petals: number;
  /** The last day of a programme that ends by itself; null for others. */
  readonly until: Day | null;
}

export const programmeKindIds = ["casePlan", "guard", "unnamed", "watch", "returns", "arrival", "round"] as const;
export type ProgrammeKindId = (typeof programmeKindIds)[number];

/** One kind of programme: what is due and how it stands, as functions of the record and the day. */
export interface ProgrammeKind<K extends ProgrammeKindId> {
  readonly kind: K;
  readonly subject: ProgrammeSubject;
  readonly due: (facts: ProgrammeFacts, today: Day) => readonly Due[];
  readonly verdict: (facts: ProgrammeFacts, today: Day) => Verdict;
}

/** A programme that does not run. */
export const notRunning: Verdict = { state: null, petals: 0, until: null };

/** A look that falls due for a programme. */
export function lookDue(programme: ProgrammeKindId, on: Day, of: Partial<Pick<Due, "caseId" | "stepId">> = {}): Due {
  return { what: "look", on, programme, caseId: null, stepId: null, dose: null, ...of };
}

/** A plant in a case, at risk or new here is looked at weekly whatever the keeper's own rhythm (common practice). */
export const WATCHED_EVERY_DAYS = 7;

/** The days on which a plant was looked at, ascending. */
export function lookDays({ looked }: Pick<PlantRecord, "looked">): Day[] {
  return looked.map(({ day }) => day);
}
