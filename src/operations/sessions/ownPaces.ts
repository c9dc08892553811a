import { standing } from "@/core/record/facts/facts";
import { pacesFrom, type Paces } from "@/core/advice/sessions/pace";
import type { Scope } from "@/db/connection";
import * as facts from "@/db/stores/record/facts";
import * as plants from "@/db/stores/plants/plants";

/** From so many acts, the newest, hands are known. */
const ACTS = 400;

/** What comes within so long of when it was, was pressed as it was done. */
const ON_THE_SPOT_MS = 2 * 60_000;

/** The pace of the hands in this household, from when they pressed. */
export async function ownPaces(scope: Scope): Promise<Paces> {
  const acts = standing(await facts.newest(scope, "act", ACTS));
  const ids = [...new Set(acts.flatMap(({ plantId }) => plantId ?? []))];
  const potOf = new Map((await plants.many(scope, ids)).map(({ id, potCm }) => [id, potCm]));
  return pacesFrom(
    acts.flatMap(({ plantId, act, at, recordedAt, recordedBy, recordedAccount }) => {
      const potCm = plantId === null ? undefined : potOf.get(plantId);
      // When it was is told to the minute; when it came is the moment of the press, unless it came later.
      const onTheSpot = recordedAt.getTime() - at.getTime() < ON_THE_SPOT_MS;
      if (potCm === undefined || !onTheSpot) return [];
      return [{ plantId: plantId!, act, at: recordedAt, potCm, by: recordedAccount ?? recordedBy }];
    }),
  );
}
