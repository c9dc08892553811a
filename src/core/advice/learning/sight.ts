import type { ToolId } from "../../model/inspection/tools";
import type { SightPair } from "../../record/cases/sightPairs";
import { groupBy } from "../../shared/groupBy";
import { countedOf, type Counted } from "./span";

/** How often a tool saw what another look within two days found. */
export interface Sight {
  readonly tool: ToolId;
  readonly saw: Counted;
}

/**
 * What each tool saw of what was there, so that the shares are of what somebody sees at all. Tools that were never beside a find are left
 * out; the one that was there most often is first. @example sightOf([]) // []
 */
export function sightOf(pairs: readonly SightPair[]): readonly Sight[] {
  return [...groupBy(pairs, ({ look }) => look.tool)]
    .map(([tool, some]) => ({ tool, saw: countedOf(some.filter(({ saw }) => saw).length, some.length) }))
    .toSorted((a, b) => b.saw.of - a.saw.of);
}
