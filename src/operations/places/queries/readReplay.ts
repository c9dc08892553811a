import { subDays } from "date-fns";
import { treats } from "@/core/acts/acts";
import { placesInRecord } from "@/core/record/cases/record";
import { addDays, type Day } from "@/core/shared/days";
import { standing } from "@/core/record/facts/facts";
import { placeOrder } from "@/core/record/facts/placeOrder";
import { idIn } from "@/core/shared/fields";
import { groupBy } from "@/core/shared/groupBy";
import { pestIds } from "@/core/knowledge/pests/pests";
import { byCode } from "@/core/knowledge/plants/codes";
import type { Replay, ReplayPlant } from "@/core/advice/replay/replay";
import { inParallel } from "@/db/query";
import * as caseNumbers from "@/db/stores/cases/caseNumbers";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import * as plants from "@/db/stores/plants/plants";
import * as spread from "@/db/stores/plants/spread";
import { dayOf, scopeOf, today, type Context } from "../../shared/context";

export interface ReplayView {
  readonly replay: Replay;
  /** The rooms, each with how many plants stood there in that time. */
  readonly rooms: readonly { readonly id: string; readonly name: string; readonly plants: number }[];
  /** The room that is shown; null where all are. */
  readonly room: string | null;
  /** How many plants stood there, where that is more than are shown. */
  readonly all: number;
}

const DAYS_BACK = 365;
/** So many days are shown before the first thing that happened, to see how it stood. */
const DAYS_BEFORE = 7;
/** So many plants are shown at once. */
const MOST = 300;

/**
 * What happened on the shelves within a year: who stood where, what was found, treated and ended, and the ways in which finds probably
 * came. Of more plants than are shown at once those of one room: the one asked for, else the one with the most finds; who was in a case first.
 */
export async function readReplay(context: Context, asked: string | null): Promise<ReplayView> {
  const scope = scopeOf(context, "read");
  const since = subDays(context.now, DAYS_BACK);
  const [all, stands, sources] = await inParallel(
    scope,
    () => places.all(scope),
    () => spread.stands(scope, since),
    () => spread.sources(scope, since),
  );
  const { outermost, outwards, within } = placeOrder(all);
  const roomOf = (placeId: string) => outwards(placeId).at(-1)?.id ?? null;
  const stoodIn = groupBy(stands, ({ placeId }) => roomOf(placeId));
  const plantsIn = (room: string) => new Set(stoodIn.get(room)?.map(({ plantId }) => plantId));
  const inCase = new Set(sources.map(({ plantId }) => plantId));
  const rooms = outermost
    .map(({ id, name }) => ({ id, name, own: plantsIn(id) }))
    .filter(({ own }) => own.size > 0)
    .map(({ id, name, own }) => ({
      id,
      name,
      plants: own.size,
      finds: [...own].filter((one) => inCase.has(one)).length,
    }));
  const everyone = new Set(stands.map(({ plantId }) => plantId));
  const chosen = rooms.find(({ id }) => id === (asked && idIn(asked)));
  const room = chosen ?? (everyone.size > MOST ? (rooms.toSorted((a, b) => b.finds - a.finds)[0] ?? null) : null);
  const there = room ? plantsIn(room.id) : everyone;
  const described = await plants.many(scope, [...there]);
  const shown = described
    .toSorted((a, b) => Number(inCase.has(b.id)) - Number(inCase.has(a.id)) || byCode(a.code, b.code))
    .slice(0, MOST);
  const ids = new Set(shown.map(({ id }) => id));
  const cases = sources.filter(({ plantId }) => ids.has(plantId));
  const acts = standing(await facts.from(scope, "act", since)).filter(
    ({ plantId, act }) => plantId !== null && ids.has(plantId) && pestIds.some((pest) => treats(act, pest)),
  );
  const origins = await caseNumbers.originsOf(
    scope,
    cases.map(({ caseId }) => caseId),
  );
  const on = (at: Date): Day => dayOf(context, at);
  const stays = groupBy(stands, ({ plantId }) => plantId);
  const own = groupBy(cases, ({ plantId }) => plantId);
  const done = groupBy(acts, ({ plantId }) => plantId ?? "");
  const played = shown.map(({ id, code, name }): ReplayPlant => ({
    ...{ id, code, name },
    stays: (stays.get(id) ?? []).map(({ placeId, from, until }) => ({
      placeId,
      from: on(from),
      until: until && on(until),
    })),
    cases: (own.get(id) ?? []).map(({ caseId, pest, openedAt, endedAt }) => ({
      ...{ caseId, pest, from: on(openedAt) },
      until: endedAt && on(endedAt),
    })),
    treated: [...new Set((done.get(id) ?? []).map(({ day }) => day as Day))],
  }));
  const used = new Set(played.flatMap((plant) => plant.stays.map(({ placeId }) => placeId)));
  const { apartAt } = placesInRecord(all);
  const days = played.flatMap((plant) => [
    ...plant.cases.map(({ from }) => from),
    ...plant.stays.slice(1).map(({ from }) => from),
  ]);
  const begin = on(since);
  const earliest = days.filter((day) => day > begin).toSorted()[0] ?? today(context);
  const first = addDays(earliest, -DAYS_BEFORE);
  return {
    replay: {
      first: first > begin ? first : begin,
      last: today(context),
      places: outermost
        .flatMap(({ id }) => within(id))
        .filter(({ id }) => used.has(id))
        .map(({ id, name }) => ({ id, name, apart: apartAt(id) }))
        // Where plants are set apart stands last: they wander there and back.
        .toSorted((a, b) => Number(a.apart) - Number(b.apart)),
      plants: played,
      ways: cases.flatMap(({ caseId, plantId }) => {
        const likeliest = origins.get(caseId)?.[0];
        return likeliest
          ? [{ caseId, plantId, kind: likeliest.kind, fromId: likeliest.plantId, share: likeliest.share }]
          : [];
      }),
    },
    rooms: rooms.map(({ id, name, plants: count }) => ({ id, name, plants: count })),
    room: room?.id ?? null,
    all: there.size,
  };
}
