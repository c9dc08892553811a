import { describe, expect, it } from "vitest";
import { usualSettings } from "../../facts/settings";
import { COLLECTION_FORMAT, COLLECTION_VERSION, collectionHead, sections } from "../collectionFile";

const id = "0198c0de-0000-7000-8000-000000000001";

describe("a collection's file of an earlier version", () => {
  it("says nothing of who lives there: nobody then", () => {
    const { household: _h, notAllowed: _n, everyDays: _e, ...settings } = usualSettings;
    const collection = { id, name: "Windowsills", timeZone: "Europe/Lisbon", ...settings };
    const madeAt = "2026-11-26T08:00:00+00:00";
    const read = collectionHead.parse({ format: COLLECTION_FORMAT, version: 1, madeAt, collection });
    expect(read.collection).toMatchObject({ household: [], notAllowed: [], everyDays: 4 });
    expect(COLLECTION_VERSION).toBeGreaterThan(1);
  });

  it("says nothing of what a plant is worth: dear then; a line of now says it", () => {
    const { line } = sections.find(({ entry }) => entry === "plants.jsonl")!;
    const first = {
      ...{ id, code: "L04", name: "Lemon", genus: "Citrus", growthForm: "uprightShrub", potCm: 20, acquiredOn: null },
      ...{ seller: "", inBud: false, inFlower: false, careAdded: [], careWithout: [], recordedBy: "" },
      ...{ addedAt: "2026-11-26T08:00:00+00:00", archivedAt: null },
    };
    expect(line.parse(first)).toMatchObject({ worth: "dear" });
    expect(line.parse({ ...first, worth: "replaceable" })).toMatchObject({ worth: "replaceable" });
    expect(line.safeParse({ ...first, worth: 7 }).success).toBe(false);
  });

  it("says nothing of cards: its photos of a place are of the place as it stood", () => {
    const { line } = sections.find(({ entry }) => entry === "facts/placePhoto.jsonl")!;
    const at = "2026-11-26T08:00:00+00:00";
    const first = {
      ...{ id, placeId: id, width: 40, height: 30, mediaType: "image/jpeg" },
      ...{ at, recordedAt: at, recordedBy: "", voidedAt: null, voidReason: null },
    };
    expect(line.parse(first)).toMatchObject({ countId: null });
    expect(line.parse({ ...first, countId: id })).toMatchObject({ countId: id });
    expect(line.safeParse({ ...first, countId: "a card" }).success).toBe(false);
  });
});
