import type { OnPlant } from "@/core/case/onPlant";
import type { Plant } from "@/core/facts/descriptions";
import type { Context } from "./context";
import { readCase, type CaseView } from "./readCase";
import { readPlant } from "./readPlant";

/** What unpotting a plant is done with and for; null when there is no such plant. */
export async function readUnpotting(
  context: Context,
  asked: string,
): Promise<{ readonly plant: Plant; readonly on: OnPlant; readonly cases: readonly { view: CaseView }[] } | null> {
  const view = await readPlant(context, asked);
  if (!view) return null;
  const cases = await Promise.all(view.open.map(({ found }) => readCase(context, found.id)));
  // What lives in the mix comes first: it is what plants are unpotted for.
  const sorted = cases
    .flatMap((one) => (one ? [{ view: one }] : []))
    .toSorted((a, b) => Number(b.view.found.pest === "rootMealybug") - Number(a.view.found.pest === "rootMealybug"));
  return { plant: view.plant, on: view.on, cases: sorted };
}
