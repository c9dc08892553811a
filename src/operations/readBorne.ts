import { genusIn } from "@/core/plants/genusIn";
import { borneBy, type Borne } from "@/core/suitability/borne";
import { standing } from "@/core/facts/facts";
import * as facts from "@/db/stores/facts";
import * as plants from "@/db/stores/plants";
import { scopeOf, type Context } from "./context";

/** What plants of a genus in this collection have said to mixes; empty for a genus nobody has named. */
export async function readBorne(context: Context, genus: string): Promise<readonly Borne[]> {
  const named = genus.trim();
  if (named === "") return [];
  const scope = scopeOf(context, "read");
  // Two spellings that mean one genus of the table are one.
  const ids = await plants.ofGenus(scope, [named, genusIn(named)?.name ?? named]);
  return borneBy(standing(await facts.of(scope, "reaction", "plantId", ids)));
}
