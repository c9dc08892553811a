import sharp from "sharp";
import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import { addPlace } from "../../places/commands/addPlace";
import { addPlacePhoto } from "../../places/commands/addPlacePhoto";
import { readBenches } from "../../places/queries/readBenches";
import { voidFact } from "../../record/commands/voidFact";
import { countTraps } from "../../seasons/commands/countTraps";
import { readGnatRoom } from "../../seasons/queries/readGnatRoom";
import { today, type Context } from "../../shared/context";
import { expectOk } from "../../shared/outcome";
import { freshCollection, plantOn } from "../builders";

let context: Context;
let shelf: string;
beforeEach(async () => {
  ({ context, shelf } = await freshCollection());
});

const count = (on: Context, flies: number) =>
  countTraps(on, {
    ...{ id: uuidv7(), placeId: shelf, plantId: null, what: "cards" as const },
    ...{ days: 7, count: flies, at: on.now },
  });

describe("a photo of a counted card", () => {
  const photo = () =>
    sharp({ create: { width: 8, height: 12, channels: 3, background: "#fd0" } })
      .png()
      .toBuffer();
  const keep = async (on: Context, countId: string | null, placeId = shelf, id = uuidv7()) =>
    addPlacePhoto(on, { id, placeId, countId, bytes: await photo() });

  it("stands with its count, and not for the place; sent twice it is kept once; gone with a count that is struck out", async () => {
    await plantOn(context, shelf);
    const { id: countId } = expectOk(await count(context, 9));
    const { id } = expectOk(await keep(context, countId));
    expectOk(await keep(context, countId, shelf, id));
    const shown = async () => (await readGnatRoom(context, shelf))!.cardPhotos;
    expect(await shown()).toEqual([{ id, day: today(context), count: 9 }]);
    const places = (await readBenches(context)).flatMap(({ benches }) =>
      benches.map(({ place, photoId }) => ({ ...place, photoId })),
    );
    expect(places.find((one) => one.id === shelf)).toMatchObject({ photoId: null });
    expectOk(await voidFact(context, { kind: "trapCount", factId: countId, reason: "Counted twice." }));
    expect(await shown()).toEqual([]);
  });

  it("is refused where there is no such count, or it is another place's", async () => {
    const { id: countId } = expectOk(await count(context, 9));
    const elsewhere = uuidv7();
    expectOk(
      await addPlace(context, {
        ...{ id: elsewhere, name: "Sill", kind: "shelf", parentId: null, celsius: 20, readingId: uuidv7() },
      }),
    );
    const unknown = { ok: false, problems: [{ path: "countId", code: "unknown" }] };
    expect(await keep(context, uuidv7())).toMatchObject(unknown);
    expect(await keep(context, countId, elsewhere)).toMatchObject(unknown);
  });

  it("is taken from whoever may count; the place's own photo is not", async () => {
    const sitter: Context = { ...context, role: "sitter" };
    const { id: countId } = expectOk(await count(sitter, 3));
    expectOk(await keep(sitter, countId));
    expect(await keep(sitter, null)).toMatchObject({ ok: false, problems: [{ code: "not_allowed" }] });
  });
});
