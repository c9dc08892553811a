import { describe, expect, it } from "vitest";
import { day } from "../../shared/days";
import { uidOf, type RoomDue } from "./entries";

const on = day("2026-11-24");
const due = (what: RoomDue["what"], over: Partial<RoomDue> = {}): RoomDue => ({
  ...{ programme: "gnats", placeId: "room", placeName: "Room", on, what },
  ...over,
});

describe("the name of what a room asks for", () => {
  it("stays when its day moves, and tells ways and places apart", () => {
    const bti = due({ what: "way", way: "larvicide", on, again: true });
    const later = day("2026-12-01");
    expect(uidOf({ ...bti, on: later, what: { what: "way", way: "larvicide", on: later, again: true } })).toBe(
      uidOf(bti),
    );
    const others = [
      due({ what: "way", way: "cards", on, again: true }),
      due({ what: "count", on, sinceDays: 7 }),
      due({ what: "way", way: "larvicide", on, again: true }, { placeId: "other" }),
    ];
    expect(new Set([bti, ...others].map(uidOf)).size).toBe(4);
  });

  it("of batches holds their day: there are many of one programme", () => {
    const batch = (text: string) =>
      due({ what: "winterBatch", plants: 3, behind: 0 }, { programme: "wintering", on: day(text) });
    expect(uidOf(batch("2026-11-24"))).not.toBe(uidOf(batch("2026-11-25")));
    expect(uidOf(due({ what: "round", plants: 3 }, { programme: "prevention", placeId: null }))).toBe(
      "prevention-all-round",
    );
  });
});
