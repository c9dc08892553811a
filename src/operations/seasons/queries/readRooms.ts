import { addDays } from "@/core/shared/days";
import { proneTo } from "@/core/knowledge/plants/care";
import type { RoomDue } from "@/core/schedule/calendar/entries";
import { gnatDues } from "@/core/advice/seasons/gnats/due";
import { biocontrolDue } from "@/core/advice/seasons/biocontrol";
import { ofKind } from "@/core/advice/seasons/running";
import * as places from "@/db/stores/places";
import { scopeOf, today, type Context } from "../../shared/context";
import { programmesNow, roomOnRecord } from "../roomOnRecord";
import { roundsDue } from "../../walks/queries/readRounds";
import { readWintering } from "./readWintering";

/** What rooms and the collection ask for within so many days from today, what is overdue among it; the soonest first. */
export async function readRooms(context: Context, withinDays = 0): Promise<readonly RoomDue[]> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const until = addDays(day, withinDays);
  const running = await programmesNow(scope);
  const dues: RoomDue[] = [];
  for (const one of ofKind(running, "gnats")) {
    const room = await roomOnRecord(scope, one.placeId!, day);
    if (!room) continue;
    const base = { programme: "gnats", placeId: one.placeId, placeName: room.place.name } as const;
    dues.push(
      ...gnatDues(one, room.record.acts, room.record.counts, day).map((what) => ({ ...base, on: what.on, what })),
    );
  }
  if (ofKind(running, "wintering").length > 0) {
    for (const programme of (await readWintering(context)).programmes) {
      const { placeId, placeName, batches, behind, chosen, again, inside, plants } = programme;
      const sprays = [...again, ...inside];
      const base = { programme: "wintering", placeId, placeName } as const;
      for (const [i, batch] of batches.entries())
        dues.push({
          ...base,
          on: batch.day,
          what: { what: "winterBatch", plants: batch.plantIds.length, behind: i === 0 ? behind.length : 0 },
        });
      if (plants > 0) dues.push({ ...base, on: chosen.moveOn, what: { what: "winterMove", plants } });
      for (const on of [...new Set(sprays.map((one) => one.on))])
        dues.push({ ...base, on, what: { what: "winterSpray", plants: sprays.filter((one) => one.on === on).length } });
    }
  }
  for (const one of ofKind(running, "prevention")) {
    const all = await places.all(scope);
    const { due, next } = await roundsDue(context, scope, one, all, (genus) => proneTo(genus).length > 0);
    const placeName = all.find(({ id }) => id === one.placeId)?.name ?? "";
    const base = { programme: "prevention", placeId: one.placeId, placeName } as const;
    if (due > 0) dues.push({ ...base, on: day, what: { what: "round", plants: due } });
    else if (next) dues.push({ ...base, on: next, what: { what: "round", plants: 0 } });
  }
  for (const one of ofKind(running, "guests")) {
    const room = await roomOnRecord(scope, one.placeId!, day);
    if (!room) continue;
    const { predator, everyDays } = one.chosen;
    const due = biocontrolDue(predator, everyDays, one.begunOn, room.record.acts, day);
    const base = { programme: "guests", placeId: one.placeId, placeName: room.place.name } as const;
    dues.push({ ...base, on: due.on, what: { what: "sachets", again: due.again } });
  }
  return dues.filter(({ on }) => on <= until).toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}
