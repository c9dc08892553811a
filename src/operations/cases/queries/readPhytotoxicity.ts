import { byCode } from "@/core/knowledge/plants/codes";
import { subDays } from "date-fns";
import { askedAfter, TOLD_WITHIN_DAYS, type AskedAfter } from "@/core/advice/aftercare/phytotoxicity";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import { inParallel } from "@/db/query";
import * as facts from "@/db/stores/record/facts";
import * as plants from "@/db/stores/plants/plants";
import * as plantStates from "@/db/stores/plants/plantStates";
import { scopeOf, today, type Context } from "../../shared/context";
import { cardOf } from "../../plants/plantCard";

/** A treatment after which it is to be said how its plant has borne it. */
export interface Afterwards extends AskedAfter {
  readonly plant: PlantCard;
}

/** So many are asked about at once. */
const MOST = 30;

/** What is to be said of the treatments of the last days, the latest first. */
export async function readPhytotoxicity(context: Context): Promise<Afterwards[]> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const lately = await facts.from(scope, "act", subDays(context.now, TOLD_WITHIN_DAYS + 1));
  const treated = lately.flatMap(({ act, plantId }) => (act.kind === "contact" && plantId !== null ? [plantId] : []));
  const ids = [...new Set(treated.toReversed())].slice(0, 2 * MOST);
  if (ids.length === 0) return [];
  const [listed, described, acts, reactions] = await inParallel(
    scope,
    () => plantStates.of(scope, ids),
    () => plants.many(scope, ids),
    () => facts.of(scope, "act", "plantId", ids),
    () => facts.of(scope, "reaction", "plantId", ids),
  );
  const asked = listed.flatMap((row): Afterwards[] => {
    const plant = described.find(({ id, archivedAt }) => id === row.id && archivedAt === null);
    if (!plant) return [];
    const own = <F extends { readonly plantId: string | null }>(all: readonly F[]) =>
      all.filter(({ plantId }) => plantId === row.id);
    const said = askedAfter(own(acts), own(reactions), plant.inFlower || plant.inBud, day);
    return said.map((one) => ({ ...one, plant: cardOf(row, day) }));
  });
  return asked
    .toSorted((a, b) => (a.on < b.on ? 1 : a.on > b.on ? -1 : byCode(a.plant.code, b.plant.code)))
    .slice(0, MOST);
}
