import { isOutsideModel } from "@/core/record/cases/outsideModel";
import { sightPairs, type SightPair } from "@/core/record/cases/sightPairs";
import { keeperOf } from "@/core/record/cases/techniqueHand";
import { standing } from "@/core/record/facts/facts";
import { animalsIn } from "@/core/model/inspection/severity";
import type { Day } from "@/core/shared/days";
import { groupBy } from "@/core/shared/groupBy";
import type { Scope } from "@/db/connection";
import { inParallel } from "@/db/query";
import * as facts from "@/db/stores/record/facts";
import * as looks from "@/db/stores/looks/looks";
import * as plants from "@/db/stores/plants/plants";

/** What looks beside finds made lately saw and missed, over the whole collection. */
export async function sightOnRecord(scope: Scope): Promise<readonly SightPair[]> {
  const ids = await looks.besideFinds(scope);
  if (ids.length === 0) return [];
  const beside = standing(await facts.some(scope, "look", ids)).filter((look) => !isOutsideModel(look));
  const plantIds = [...new Set(beside.map(({ plantId }) => plantId))];
  const [acts, own] = await inParallel(
    scope,
    () => facts.of(scope, "act", "plantId", plantIds),
    () => plants.many(scope, plantIds),
  );
  const formOf = new Map(own.map(({ id, growthForm }) => [id, growthForm]));
  const actsOf = groupBy(standing(acts), ({ plantId }) => plantId ?? "");
  return sightPairs(
    beside.flatMap((look) => {
      const growthForm = formOf.get(look.plantId);
      if (!growthForm) return [];
      const { plantId, day, at, tool, spots } = look;
      const finds = look.finds.map((find) => ({ ...find, animals: animalsIn(find) }));
      return [
        {
          plantId,
          growthForm,
          day: day as Day,
          at,
          tool,
          spots,
          finds,
          keeper: keeperOf({ recordedAccount: null, ...look }),
          name: look.recordedBy,
        },
      ];
    }),
    (plantId) => (actsOf.get(plantId) ?? []).map(({ at }) => at),
  );
}
