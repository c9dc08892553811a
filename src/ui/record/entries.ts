import type { Day } from "@/core/shared/days";
import { byMoment, factKindIds, factKindOf, type Fact, type FactKindId } from "@/core/record/facts/facts";
import type { ShownOn } from "@/core/record/facts/kind";
import { tell, type Around } from "@/wording/record/record";

/** One line of a record, ready to be shown. */
export interface RecordEntry {
  readonly kind: FactKindId;
  readonly id: string;
  readonly day: Day;
  readonly what: string;
  readonly details: readonly string[];
  readonly by: string;
  readonly voidReason: string | null;
}

/** Facts by kind; kinds that are left out have none. */
export type FactsByKind = { readonly [K in FactKindId]?: readonly Fact<K>[] };

/** The facts that stand in the record of a page as entries, newest first; of one minute the one written down last stands first. */
export function recordEntries(page: ShownOn, facts: FactsByKind, around: Around): RecordEntry[] {
  const shown = factKindIds.filter((kind) => factKindOf(kind).shownOn.includes(page));
  return shown
    .flatMap((kind) => (facts[kind] ?? []).map((fact) => ({ kind, fact: fact as Fact<FactKindId> })))
    .toSorted((a, b) => byMoment(b.fact, a.fact))
    .map(({ kind, fact }) => {
      // The kind says which of the shapes the fact has.
      const [what, ...details] = (
        tell[kind] as (fact: Fact<FactKindId>, around: Around) => readonly [string, ...string[]]
      )(fact, around);
      const { id, day, recordedBy: by, voidReason } = fact;
      return { kind, id, day, what, details: details.filter(Boolean), by, voidReason };
    });
}
