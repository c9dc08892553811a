import { dayNumber } from "@/core/climate/days";
import { standing } from "@/core/facts/facts";
import { idIn } from "@/core/fields";
import type { NearnessId } from "@/core/carriage/rates";
import { askAll } from "@/core/spread/ask";
import { whoFirst } from "@/core/spread/around";
import { schoolsBeside, type Neighbour, type Schools } from "@/core/spread/schools";
import { minutesToLook } from "@/core/spread/tonight";
import { bearerOf } from "@/core/suitability/bearer";
import * as arounds from "@/db/stores/around";
import * as facts from "@/db/stores/facts";
import { homeOf } from "./parts/onPlant";
import { scopeOf, today, type Context } from "./context";
import { caseOnRecord } from "./parts/caseOnRecord";
import { askedPlants, readSpread } from "./parts/spreadOnRecord";
import { waysFor } from "./parts/waysFor";

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
    const bearer = bearerOf(plant.plant, own, day, hemisphere, homeOf(context.collection));
    return [{ asked: one, bearer, potCm, lookMinutes: minutesToLook(usual, potCm) }];
  });
  return schoolsBeside(found.pest, neighbours);
}
