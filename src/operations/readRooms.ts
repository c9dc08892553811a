import { addDays, type Day } from "@/core/climate/days";
import { mixes, mixesOf } from "@/core/mixing/mixes";
import { proneTo } from "@/core/plants/care";
import type { RoomDue } from "@/core/calendar/entries";
import { gnatDues } from "@/core/rooms/gnats/due";
import { guestsDue } from "@/core/rooms/guests";
import { nextRound } from "@/core/rooms/prevention";
import { ofKind, type Running } from "@/core/rooms/running";
import type { Scope } from "@/db/connection";
import * as facts from "@/db/stores/facts";
import { dayOf, scopeOf, today, type Context } from "./context";
import { programmesNow, roomOnRecord } from "./parts/roomOnRecord";
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
  for (const one of ofKind(running, "prevention")) {
    const { due, next } = await roundsNow(context, scope, one);
    const base = { programme: "prevention", placeId: null, placeName: "" } as const;
    if (due > 0) dues.push({ ...base, on: day, what: { what: "round", plants: due } });
    else if (next) dues.push({ ...base, on: next, what: { what: "round", plants: 0 } });
  }
  for (const one of ofKind(running, "guests")) {
    const room = await roomOnRecord(scope, one.placeId!, day);
    if (!room) continue;
    const { predator, everyDays } = one.chosen;
    const due = guestsDue(predator, everyDays, one.begunOn, room.record.acts, day);
    const base = { programme: "guests", placeId: one.placeId, placeName: room.place.name } as const;
    dues.push({ ...base, on: due.on, what: { what: "sachets", again: due.again } });
  }
  return dues.filter(({ on }) => on <= until).toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}

/**
 * How many plants have their turn in a round now, and when the next one has; those that would be spared on the day among them. Of
 * thousands of plants only the last treatment is read.
 */
async function roundsNow(
  context: Context,
  scope: Scope,
  { chosen, begunOn }: Running<"prevention">,
): Promise<{ readonly due: number; readonly next: Day | null }> {
  const day = today(context);
  const last = await facts.lastContacts(scope, mixesOf(mixes[chosen.mix].remedy));
  const dates = last
    .filter(({ genus }) => chosen.who === "all" || proneTo(genus).length > 0)
    .map(({ at }) => nextRound(chosen, begunOn, at && dayOf(context, at), day));
  return {
    due: dates.filter((on) => on <= day).length,
    next: dates.filter((on) => on > day).toSorted()[0] ?? null,
  };
}
