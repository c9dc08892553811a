import { genusIn } from "@/core/knowledge/plants/genusIn";
import { toleranceShownBy, type Borne } from "@/core/advice/tolerance/toleranceShown";
import { standing } from "@/core/record/facts/facts";
import * as facts from "@/db/stores/record/facts";
import { scopeOf, type Context } from "../../shared/context";

/** What plants of a genus in this collection have said to mixes; empty for a genus nobody has named. */
export async function readTolerance(context: Context, genus: string): Promise<readonly Borne[]> {
  const named = genus.trim();
  if (named === "") return [];
  const scope = scopeOf(context, "read");
  // Two spellings that mean one genus of the table are one.
  return toleranceShownBy(standing(await facts.ofGenus(scope, "reaction", [named, genusIn(named)?.name ?? named])));
}
