import { addDays } from "@/core/climate/days";
import type { RoomDue } from "@/core/calendar/entries";
import { gnatDues } from "@/core/rooms/gnats/due";
import { ofKind } from "@/core/rooms/running";
import { scopeOf, today, type Context } from "./context";
import { programmesNow, roomOnRecord } from "./parts/roomOnRecord";
import { readPrevention } from "./readPrevention";
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
      const { placeId, placeName, batches, behind, chosen, inside, plants } = programme;
      const base = { programme: "wintering", placeId, placeName } as const;
      for (const [i, batch] of batches.entries())
        dues.push({
          ...base,
          on: batch.day,
          what: { what: "winterBatch", plants: batch.plantIds.length, behind: i === 0 ? behind.length : 0 },
        });
      if (plants > 0) dues.push({ ...base, on: chosen.moveOn, what: { what: "winterMove", plants } });
      for (const on of [...new Set(inside.map((one) => one.on))])
        dues.push({ ...base, on, what: { what: "winterSpray", plants: inside.filter((one) => one.on === on).length } });
    }
  }
  if (ofKind(running, "prevention").length + ofKind(running, "guests").length > 0) {
    const { running: round, guests } = await readPrevention(context);
    const none = { placeId: null, placeName: "" } as const;
    if (round && round.due > 0)
      dues.push({ programme: "prevention", ...none, on: day, what: { what: "round", plants: round.tonight.length } });
    else if (round?.next)
      dues.push({ programme: "prevention", ...none, on: round.next, what: { what: "round", plants: 0 } });
    for (const { placeId, placeName, due } of guests)
      dues.push({ programme: "guests", placeId, placeName, on: due.on, what: { what: "sachets", again: due.again } });
  }
  return dues.filter(({ on }) => on <= until).toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}
