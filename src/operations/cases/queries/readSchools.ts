import { dayNumber } from "@/core/shared/days";
import { standing } from "@/core/record/facts/facts";
import { idIn } from "@/core/shared/fields";
import type { NearnessId } from "@/core/model/carriage/rates";
import { askAll } from "@/core/advice/spread/ask";
import { whoFirst } from "@/core/advice/spread/around";
import { schoolsBeside, type Neighbour, type Schools } from "@/core/advice/spread/schools";
import { minutesToLook } from "@/core/advice/tonight/tonight";
import { treatedPlantOf } from "@/core/advice/tolerance/treatedPlant";
import * as arounds from "@/db/stores/plants/around";
import * as facts from "@/db/stores/record/facts";
import { homeOf } from "../../plants/onPlant";
import { scopeOf, today, type Context } from "../../shared/context";
import { caseOnRecord } from "../caseOnRecord";
import { askedPlants, readSpread } from "../../plants/spreadOnRecord";
import { waysFor } from "../waysFor";

/** What counts as beside: what touches it, shares its tray or its place, or gets its water. */
const beside: readonly NearnessId[] = ["touching", "tray", "drip", "place"];
/** So many neighbours are reckoned. */
const MOST = 60;

/** Treat the neighbours or only look at them: what each comes to; null when there is no such case. */
export async function readSchools(context: Context, asked: string): Promise<Schools | null> {
  const id = idIn(asked);
  if (!id) return null;
  const scope = scopeOf(context, "read");
  const onRecord = await caseOnRecord(scope, id);
  if (!onRecord) return null;
  const { found, record } = onRecord;
  const near = await arounds.ofSource(scope, record.plant.id, found.pest, 4 * MOST);
  const ids = whoFirst(found.pest, record.plant.id, near, 0)
    .filter(({ why }) => why.some((one) => one.kind === "near" && beside.includes(one.nearness)))
    .slice(0, MOST)
    .map(({ plantId }) => plantId);
  const spread = await readSpread(context, scope);
  const plants = await askedPlants(context, scope, spread, ids);
  const reactions = await facts.of(scope, "reaction", "plantId", ids);
  const day = today(context);
  const { hemisphere } = context.collection;
  const neighbours = plants.flatMap((plant): Neighbour[] => {
    const usual = waysFor(context, plant.plant)[0]!;
    const one = askAll(plant, spread.spread, dayNumber(day) + 1, hemisphere, [usual.search]).find(
      ({ pest }) => pest === found.pest,
    );
    if (!one) return [];
    const own = standing(reactions).filter(({ plantId }) => plantId === plant.plant.id);
    const { potCm } = plant.plant;
    const bearer = treatedPlantOf(plant.plant, own, day, hemisphere, homeOf(context.collection));
    return [{ asked: one, bearer, potCm, lookMinutes: minutesToLook(usual, potCm) }];
  });
  return schoolsBeside(found.pest, neighbours);
}
