import type { Objection } from "@/core/suitability/suitability";
import type { Context } from "./context";
import { scopeOf } from "./context";
import type { Scope } from "@/db/connection";
import { takeTurn } from "@/db/stores/facts";

/** Something the keeper can mend; `path` names the field, or is empty when no single field is to blame. */
export interface Problem {
  readonly path: string;
  readonly code:
    | "in_future"
    | "before_case"
    | "unknown"
    | "code_taken"
    | "not_apart_place"
    | "same_place"
    | "case_closed"
    | "already_voided"
    | "step_taken"
    | "advised_against"
    | "archived"
    | "twice_same_pest"
    | "spot_not_there"
    | "parent_not_room"
    | "still_in_use"
    | "no_plants"
    | "photo_too_large"
    | "no_photo"
    | "too_many_photos";
  readonly objections?: readonly Objection[];
}

export type Outcome<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };

/** Thrown inside an operation to leave it with nothing written. */
class Refusal extends Error {
  constructor(readonly problems: readonly Problem[]) {
    super(problems.map((p) => `${p.path}: ${p.code}`).join(", "));
  }
}

/** Leaves the operation: nothing it has written so far stands. */
export function refuse(path: string, code: Problem["code"], extra: Pick<Problem, "objections"> = {}): never {
  throw new Refusal([{ path, code, ...extra }]);
}

/**
 * Runs one deed in one transaction and turns a refusal into its outcome. Deeds with the same `key`, usually the deed's
 * own id, run one after the other: one that is sent twice at once finds itself recorded the second time. Where the caller brought a transaction, the
 * deed runs in a savepoint of it, so that a refused deed leaves the rest standing.
 */
export async function perform<T>(
  context: Context,
  key: string,
  work: (scope: Scope) => Promise<T>,
): Promise<Outcome<T>> {
  try {
    const value = await context.sequelize.transaction(
      { transaction: context.transaction ?? null },
      async (transaction) => {
        const scope = scopeOf(context, transaction);
        await takeTurn(scope, key);
        return work(scope);
      },
    );
    return { ok: true, value };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, problems: error.problems };
    throw error;
  }
}

/** For callers to whom a refusal is a mistake of their own: the value, or an Error that names the problems. */
export function expectOk<T>(outcome: Outcome<T>): T {
  if (outcome.ok) return outcome.value;
  throw new Refusal(outcome.problems);
}
