import type { ActDone, Closing, Look, Programme } from "../facts/facts";
import { caseFiledUnder, type Case } from "./cases";
import type { PlantRecord } from "./record";

/** The facts of one case as its page shows them, those struck out among them. */
export interface CaseRecordShown {
  readonly looks: readonly Look[];
  readonly acts: readonly ActDone[];
  readonly programmes: readonly Programme[];
  readonly closings: readonly Closing[];
}

/**
 * The facts of one case: the looks at the plant and all that was done to it while the case ran, and the plans and closings that
 * were filed under it.
 */
export function inCase(found: Case, { looks, acts, programmes, closings, cases }: PlantRecord): CaseRecordShown {
  const ran = ({ at }: { readonly at: Date }) =>
    at >= found.openedAt && (found.closing === null || at <= found.closing.at);
  const filed = ({ caseId, at }: { readonly caseId: string | null; readonly at: Date }) =>
    caseId !== null && caseFiledUnder(cases, caseId, at)?.id === found.id;
  return {
    looks: looks.filter(ran),
    acts: acts.filter(ran),
    programmes: programmes.filter(filed),
    closings: closings.filter(filed),
  };
}
