import { backgroundPerDay, perAnimalAt } from "@/core/model/carriage/rates";
import type { Case } from "@/core/record/cases/cases";
import { daysBetween, type Day } from "@/core/shared/days";
import { standing, type ActDone, type Look } from "@/core/record/facts/facts";
import { placeTree } from "@/core/advice/spread/places";
import type { Place } from "@/core/record/facts/descriptions";
import type { Scope } from "@/db/connection";
import * as cases from "@/db/stores/cases/cases";
import * as plantStates from "@/db/stores/plants/plantStates";

/** So many mobile animals count on each plant with the pest nearby (HOUSE): a light infestation. */
const ON_EACH = 5;

/**
 * Founders of a case's pest expected on its plant between its last treatment and the find after it, from other plants with an open
 * case of it as they stand today, and from the air; null where nothing was found again after a treatment.
 */
export async function foundersNear(
  scope: Scope,
  found: Case,
  placeId: string,
  { looks, acts }: { readonly looks: readonly Look[]; readonly acts: readonly ActDone[] },
  places: readonly Place[],
): Promise<number | null> {
  const days = daysSinceTreated(found, looks, acts);
  if (days === null) return null;
  const others = (await cases.open(scope)).filter(({ pest, id }) => pest === found.pest && id !== found.id);
  const stand = await plantStates.of(
    scope,
    others.map(({ plantId }) => plantId),
  );
  const tree = placeTree(places);
  const perDay = stand.reduce(
    (sum, one) => {
      const passage = tree.between(placeId, one.placeId);
      return passage ? sum + perAnimalAt(found.pest, passage.nearness) * ON_EACH * passage.passes : sum;
    },
    backgroundPerDay[found.pest] * tree.background(placeId),
  );
  return perDay * days;
}

function daysSinceTreated(found: Case, looks: readonly Look[], acts: readonly ActDone[]): number | null {
  const again = standing(looks).findLast(
    (look) => look.at > found.openedAt && look.finds.some(({ pest }) => pest === found.pest),
  );
  const treated = again && standing(acts).findLast(({ at }) => at >= found.openedAt && at < again.at);
  return again && treated ? Math.max(1, daysBetween(treated.day as Day, again.day as Day)) : null;
}
