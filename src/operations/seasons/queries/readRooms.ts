import { addDays, type Day } from "@/core/shared/days";
import { proneTo } from "@/core/knowledge/plants/care";
import type { RoomDue } from "@/core/schedule/calendar/entries";
import { gnatDues } from "@/core/advice/seasons/gnats/due";
import { biocontrolDue } from "@/core/advice/seasons/biocontrol";
import { ofKind, type Running } from "@/core/advice/seasons/running";
import type { Scope } from "@/db/connection";
import { inParallel } from "@/db/query";
import * as places from "@/db/stores/places/places";
import { scopeOf, today, type Context } from "../../shared/context";
import { programmesNow, roomFacts } from "../roomOnRecord";
import { roundsDue } from "../../walks/queries/readRounds";
import { winteringNow } from "../winteringNow";

/** What rooms and the collection ask for within so many days from today, what is overdue among it; the soonest first. */
export async function readRooms(context: Context, withinDays = 0): Promise<readonly RoomDue[]> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const until = addDays(day, withinDays);
  const running = await programmesNow(scope);
  const found = await inParallel(
    scope,
    () => gnatDuesIn(scope, ofKind(running, "gnats"), day),
    () => winterDues(context, scope, ofKind(running, "wintering")),
    () => roundDues(context, scope, ofKind(running, "prevention"), day),
    () => sachetDues(scope, ofKind(running, "guests"), day),
  );
  return found
    .flat()
    .filter(({ on }) => on <= until)
    .toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}

async function gnatDuesIn(scope: Scope, running: readonly Running<"gnats">[], day: Day): Promise<RoomDue[]> {
  const dues: RoomDue[] = [];
  for (const one of running) {
    const room = await roomFacts(scope, one.placeId!);
    if (!room) continue;
    const base = { programme: "gnats", placeId: one.placeId, placeName: room.place.name } as const;
    dues.push(...gnatDues(one, room.acts, room.counts, day).map((what) => ({ ...base, on: what.on, what })));
  }
  return dues;
}

async function winterDues(
  context: Context,
  scope: Scope,
  running: readonly Running<"wintering">[],
): Promise<RoomDue[]> {
  if (running.length === 0) return [];
  const { programmes } = await winteringNow(context, scope);
  return programmes.flatMap(({ placeId, placeName, batches, behind, chosen, again, inside, plants }): RoomDue[] => {
    const sprays = [...again, ...inside];
    const base = { programme: "wintering", placeId, placeName } as const;
    return [
      ...batches.map((batch, i) => ({
        ...{ ...base, on: batch.day },
        what: { what: "winterBatch" as const, plants: batch.plantIds.length, behind: i === 0 ? behind.length : 0 },
      })),
      ...(plants > 0 ? [{ ...base, on: chosen.moveOn, what: { what: "winterMove" as const, plants } }] : []),
      ...[...new Set(sprays.map((one) => one.on))].map((on) => ({
        ...{ ...base, on },
        what: { what: "winterSpray" as const, plants: sprays.filter((one) => one.on === on).length },
      })),
    ];
  });
}

async function roundDues(
  context: Context,
  scope: Scope,
  running: readonly Running<"prevention">[],
  day: Day,
): Promise<RoomDue[]> {
  const dues: RoomDue[] = [];
  for (const one of running) {
    const all = await places.all(scope);
    const { due, next } = await roundsDue(context, scope, one, all, (genus) => proneTo(genus).length > 0);
    const placeName = all.find(({ id }) => id === one.placeId)?.name ?? "";
    const base = { programme: "prevention", placeId: one.placeId, placeName } as const;
    if (due > 0) dues.push({ ...base, on: day, what: { what: "round", plants: due } });
    else if (next) dues.push({ ...base, on: next, what: { what: "round", plants: 0 } });
  }
  return dues;
}

async function sachetDues(scope: Scope, running: readonly Running<"guests">[], day: Day): Promise<RoomDue[]> {
  const dues: RoomDue[] = [];
  for (const one of running) {
    const room = await roomFacts(scope, one.placeId!);
    if (!room) continue;
    const { predator, everyDays } = one.chosen;
    const due = biocontrolDue(predator, everyDays, one.begunOn, room.acts, day);
    const base = { programme: "guests", placeId: one.placeId, placeName: room.place.name } as const;
    dues.push({ ...base, on: due.on, what: { what: "sachets", again: due.again } });
  }
  return dues;
}
