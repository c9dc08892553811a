import { may } from "@/core/access/roles";
import type { OnPlant } from "@/core/advice/plans/onPlant";
import type { Plant } from "@/core/record/facts/descriptions";
import type { Context } from "../../shared/context";
import { readCase, type CaseView } from "./readCase";
import { readPlant } from "../../plants/queries/readPlant";
import { readToday } from "../../plants/queries/readToday";

/**
 * What unpotting a plant is done with and for; null when there is no such plant. Whoever sees only what is due sees it while an
 * unpotting of the plant is.
 */
export async function readUnpotting(
  asking: Context,
  asked: string,
): Promise<{ readonly plant: Plant; readonly on: OnPlant; readonly cases: readonly { view: CaseView }[] } | null> {
  const due = await isDue(asking, asked);
  const context = due ? { ...asking, role: "reader" as const } : asking;
  const view = await readPlant(context, asked);
  if (!view) return null;
  const cases = await Promise.all(view.open.map(({ found }) => readCase(context, found.id)));
  // What lives in the mix comes first: it is what plants are unpotted for.
  const sorted = cases
    .flatMap((one) => (one ? [{ view: one }] : []))
    .toSorted((a, b) => Number(b.view.found.pest === "rootMealybug") - Number(a.view.found.pest === "rootMealybug"));
  return { plant: view.plant, on: view.on, cases: sorted };
}

/** Whether an unpotting of a plant is due to somebody who sees nothing else. */
async function isDue(context: Context, plantId: string): Promise<boolean> {
  if (may(context.role, "read")) return false;
  const { batches } = await readToday(context);
  return batches.some(({ what, due }) => what === "unpot" && due.some((line) => line.plant.id === plantId));
}
