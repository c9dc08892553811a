import { may, type Right } from "@/core/access/roles";
import type { FactKindId } from "@/core/record/facts/facts";
import type { Day } from "@/core/shared/days";
import type { LabelObjection } from "@/core/advice/labels/label";
import type { Objection } from "@/core/advice/tolerance/suitability";
import { UniqueConstraintError, type Transaction } from "sequelize";
import type { Scope } from "@/db/connection";
import * as facts from "@/db/stores/record/facts";
import { scopeOf, type Context } from "./context";
import { refreshPlants, type Touched } from "../plants/refreshPlants";

export const problemCodes = [
  "in_future",
  "before_case",
  "before_last_find",
  "before_it_came",
  "so_long_ago",
  "too_far_ahead",
  "unknown",
  "code_taken",
  "code_twice",
  "not_apart_place",
  "same_place",
  "case_closed",
  "already_voided",
  "step_taken",
  "advised_against",
  "against_label",
  "archived",
  "twice_same_pest",
  "spot_not_there",
  "parent_not_room",
  "stands_alone",
  "not_on_place",
  "not_unnamed",
  "no_temperature",
  "still_in_use",
  "no_plants",
  "photo_too_large",
  "no_photo",
  "too_many_photos",
  "no_such_zone",
  "id_taken",
  "look_without_it",
  "too_many_rows",
  "too_many_keepers",
  "only_own_experience",
  "cupboard_full",
  "address_not_near",
  "programme_not_running",
  "not_gnats_place",
  "no_rows",
  "not_allowed",
  "not_yours",
  "passphrase_short",
  "passphrase_common",
  "owner_exists",
  "no_owner_yet",
  "too_many_tries",
  "not_let_in",
  "code_wrong",
  "pairing_over",
  "name_in_use",
  "last_owner",
  "wrong_passphrase",
] as const;

/** Something the keeper can mend; `path` names the field, or is empty when no single field is to blame. */
export interface Problem {
  readonly path: string;
  readonly code: (typeof problemCodes)[number];
  readonly objections?: readonly Objection[];
  readonly label?: readonly LabelObjection[];
  /** The day that the problem is about. */
  readonly day?: Day;
}

export type Outcome<T> =
  /** `again`: it was there already; nothing has been done. */
  | { readonly ok: true; readonly value: T; readonly again?: true }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** Thrown inside an operation to leave it with nothing written. */
class Refusal extends Error {
  constructor(readonly problems: readonly Problem[]) {
    super(problems.map((p) => `${p.path}: ${p.code}`).join(", "));
  }
}

/** Leaves the operation: nothing it has written so far stands. */
export function refuse(path: string, code: Problem["code"], extra: Omit<Problem, "path" | "code"> = {}): never {
  throw new Refusal([{ path, code, ...extra }]);
}

/** What some checks come to outside an operation: their value, or what they refuse. */
export function outcomeOf<T>(work: () => T): Outcome<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, problems: error.problems };
    throw error;
  }
}

/** Leaves the operation with several problems at once. */
export function refuseAll(problems: readonly Problem[]): never {
  throw new Refusal(problems);
}

/** The scope of a command: what it touches is noted, and derived anew once, when the command is done. */
export interface CommandScope extends Scope {
  /** Notes that what follows from these plants' facts has changed. */
  readonly invalidate: (plantIds: readonly string[]) => void;
  /** As `touch`; and what stood beside them, since when, is to be looked at again too. */
  readonly invalidateBeside: (plantIds: readonly string[]) => void;
  /** Notes that what every plant may carry is to be reckoned anew. */
  readonly invalidateAll: () => void;
  /** Whether a fact has been recorded already under this id: the command was sent before, and that is noted. */
  readonly wasSent: (kind: FactKindId, id: string) => Promise<boolean>;
  /** The same of a row of another table. */
  readonly wasThere: (table: string, id: string) => Promise<boolean>;
}

/**
 * Runs one command in one transaction, if whoever asks has the right to it, and turns a refusal into its outcome. Commands with the same `key`, usually the command's
 * own id, run one after the other: one that is sent twice at once finds itself recorded the second time. What the command
 * touched is derived anew before the transaction ends; nothing is reckoned in it. In a batch the command runs in a savepoint, so that
 * a refused command leaves the rest standing.
 */
export async function transact<T>(
  context: Context,
  right: Right,
  key: string,
  work: (scope: CommandScope) => Promise<T>,
): Promise<Outcome<T>> {
  if (!may(context.role, right)) return { ok: false, problems: [{ path: "", code: "not_allowed" }] };
  let again = false as boolean;
  try {
    const value = await context.sequelize.transaction(
      { transaction: context.batch?.transaction ?? null },
      async (transaction) => {
        const scope = scopeOf(context, right, transaction);
        const known = async (there: Promise<boolean>) => {
          const before = await there;
          if (before) again = true;
          return before;
        };
        const touched: Touched = { alone: context.batch?.touched ?? new Set(), beside: new Set() };
        await facts.advisoryLock(scope, key);
        const done = await work({
          ...scope,
          invalidate: (plantIds) => plantIds.forEach((id) => touched.alone.add(id)),
          invalidateBeside: (plantIds) => plantIds.forEach((id) => touched.beside.add(id)),
          invalidateAll: () => (touched.everything = true),
          wasSent: (kind, id) => known(facts.isRecorded(scope, kind, id)),
          wasThere: (table, id) => known(facts.isThere(scope, table, id)),
        });
        // In a batch what touches others is derived at once, since the next command may build on it; the rest at the end.
        if (!context.batch) await refreshPlants(context, scope, touched);
        else if (touched.beside.size > 0 || touched.everything)
          await refreshPlants(context, scope, { ...touched, alone: new Set() });
        return done;
      },
    );
    return { ok: true, value, ...(again && { again: true as const }) };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, problems: error.problems };
    if (isTakenId(error)) return { ok: false, problems: [{ path: "", code: "id_taken" }] };
    throw error;
  }
}

/** Whether something was to be written under an id that something else bears: trying again would never help. */
function isTakenId(error: unknown): boolean {
  const { constraint } = error instanceof UniqueConstraintError ? (error.parent as { constraint?: string }) : {};
  return constraint?.endsWith("_pkey") ?? false;
}

/** Does many commands as one: all of them are there, or none. */
export function inBatch<T>(
  context: Context,
  transaction: Transaction,
  work: (context: Context) => Promise<T>,
): Promise<T> {
  const batch = { transaction, touched: new Set<string>() };
  return work({ ...context, batch }).then(async (done) => {
    await refreshPlants(context, scopeOf(context, "record", transaction), { alone: batch.touched, beside: new Set() });
    return done;
  });
}

/** For callers to whom a refusal is a mistake of their own: the value, or an Error that names the problems. */
export function expectOk<T>(outcome: Outcome<T>): T {
  if (outcome.ok) return outcome.value;
  throw new Refusal(outcome.problems);
}
