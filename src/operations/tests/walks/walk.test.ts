import sharp from "sharp";
import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import type { StartWalk } from "@/core/record/facts/commands";
import { proneTo } from "@/core/knowledge/plants/care";
import { genusNamed } from "@/core/knowledge/plants/genera";
import { progressOf } from "@/core/advice/walks/progress";
import { addPhoto } from "../../looks/commands/addPhoto";
import type { Context } from "../../shared/context";
import { endWalk } from "../../walks/commands/endWalk";
import { movePlant } from "../../plants/commands/movePlant";
import { expectOk } from "../../shared/outcome";
import { readCase } from "../../cases/queries/readCase";
import { readPhoto } from "../../looks/queries/readPhoto";
import { readPlant } from "../../plants/queries/readPlant";
import { readSigns } from "../../looks/queries/readSigns";
import { readWalk, type WalkView } from "../../walks/queries/readWalk";
import { readWalks } from "../../walks/queries/readWalks";
import { recordLook } from "../../looks/commands/recordLook";
import { setApart } from "../../plants/commands/setApart";
import { skipPlant } from "../../looks/commands/skipPlant";
import { startWalk } from "../../walks/commands/startWalk";
import { voidFact } from "../../record/commands/voidFact";
import { aFind, aLook, codes, freshCollection, openCaseOn, plantOn, wall } from "../builders";

let context: Context;
let shelf: string;
let other: string;
let pantry: string;
beforeEach(async () => ({ context, shelf, other, pantry } = await freshCollection()));

const aWalk = (over: Partial<StartWalk> = {}): StartWalk => ({
  id: uuidv7(),
  scope: "everything",
  placeId: null,
  tool: "lamp",
  round: "likely",
  ...over,
});
const begin = async (over: Partial<StartWalk> = {}) => expectOk(await startWalk(context, aWalk(over))).id;
const view = async (id: string): Promise<WalkView> => (await readWalk(context, id))!;
const next = async (id: string) => {
  const { stops, places, events } = await view(id);
  return progressOf(
    stops,
    places.map((place) => place.id),
    events,
  ).toGo.map((stop) => stop.code);
};

describe("starting a walk", () => {
  it("takes in a place with what stands in it, what is due, arrivals, or everything", async () => {
    const a = await plantOn(context, shelf, { code: "A" });
    await plantOn(context, other, { code: "B" });
    await plantOn(context, pantry, { code: "N" });
    expectOk(await recordLook(context, aLook(a, 0)));
    const held = async (over: Partial<StartWalk>) => (await next(await begin(over))).toSorted();
    expect(await held({ scope: "place", placeId: other })).toEqual(["B"]);
    expect(await held({ scope: "due" })).toEqual(["B", "N"]);
    expect(await held({ scope: "arrivals" })).toEqual(["N"]);
    expect(await held({})).toEqual(["A", "B", "N"]);
    expect(await readWalks(context)).toMatchObject({ due: 2, everything: 3, arrivals: 1 });
  });

  it("refuses an unknown place and a walk without a plant; sent twice it is begun once", async () => {
    expect(codes(await startWalk(context, aWalk({ scope: "place", placeId: uuidv7() })))).toEqual(["placeId unknown"]);
    expect(codes(await startWalk(context, aWalk()))).toEqual(["scope no_plants"]);
    await plantOn(context, shelf);
    const command = aWalk();
    await Promise.all([startWalk(context, command), startWalk(context, command)]);
    expect((await readWalks(context)).unfinished).toHaveLength(1);
    expect(await readWalk(context, "none")).toBeNull();
    expect(await readWalk(context, uuidv7())).toBeNull();
  });

  it("goes from clean to isolated and tells what was seen last, what left marks and what is near", async () => {
    const sick = await plantOn(context, shelf, { code: "C", seller: "Stall" });
    await plantOn(context, other, { code: "A", seller: "Stall" });
    await plantOn(context, shelf, { code: "B" });
    await openCaseOn(context, sick, 3);
    expectOk(await setApart(context, { id: uuidv7(), plantId: sick, placeId: pantry, bagId: uuidv7(), at: wall(1) }));
    const id = await begin();
    expect(await next(id)).toEqual(["A", "B", "C"]);
    const { stops, places } = await view(id);
    const stop = (code: string) => stops.find((one) => one.code === code)!;
    expect(stop("C")).toMatchObject({ apart: true, scars: ["mealybug"], last: { tool: "lamp", pests: ["mealybug"] } });
    expect(stop("A")).toMatchObject({ last: null, scars: [] });
    const around = { form: "trailingVine", season: "autumn", prone: proneTo("Hoya") };
    expect(stop("A").circumstances).toEqual({ ...around, meanC: 20, nearby: { mealybug: "seller" } });
    expect(stop("B").circumstances).toEqual({ ...around, meanC: 25, nearby: { mealybug: "beside" } });
    expect(stop("C").circumstances).toEqual({ ...around, meanC: 22, nearby: { mealybug: "here" } });
    expect(stop("A").sensitivities).toEqual(genusNamed("Hoya")!.sensitivities);
    expect(places.find((place) => place.id === shelf)?.codes).toEqual(["B"]);
  });
});

describe("on a walk", () => {
  it("a look and a skip are done; taken back, their plants come back", async () => {
    const [a, b] = [await plantOn(context, shelf, { code: "A" }), await plantOn(context, shelf, { code: "B" })];
    const id = await begin();
    const look = aLook(a, 0, { walkId: id });
    expectOk(await recordLook(context, look));
    const skip = { id: uuidv7(), walkId: id, plantId: b, reason: "outOfReach", at: wall(0) } as const;
    expectOk(await skipPlant(context, skip));
    expectOk(await skipPlant(context, skip));
    expect(await next(id)).toEqual([]);
    expect((await readWalks(context)).unfinished[0]).toMatchObject({ plants: 2, done: 2, finds: 0 });
    expect((await readPlant(context, b))!.skips).toMatchObject([{ reason: "outOfReach" }]);
    expectOk(await voidFact(context, { kind: "skip", factId: skip.id, reason: "undone" }));
    expectOk(await voidFact(context, { kind: "look", factId: look.id, reason: "undone" }));
    expect(await next(id)).toEqual(["A", "B"]);
    expectOk(await endWalk(context, { walkId: id }));
    expectOk(await endWalk(context, { walkId: id }));
    expect((await readWalks(context)).unfinished).toEqual([]);
    expect(codes(await endWalk(context, { walkId: uuidv7() }))).toEqual(["walkId unknown"]);
  });

  it("a find puts its neighbours behind the clean ones still to come", async () => {
    const a = await plantOn(context, shelf, { code: "A" });
    await plantOn(context, shelf, { code: "B" });
    await plantOn(context, other, { code: "C" });
    const id = await begin();
    expect(await next(id)).toEqual(["A", "B", "C"]);
    expectOk(await recordLook(context, aLook(a, 0, { walkId: id, finds: [aFind()] })));
    expect(await next(id)).toEqual(["C", "B"]);
    // The walk goes by how plants stood when it began: moving one does not lead back and forth.
    expectOk(await movePlant(context, { id: uuidv7(), plantId: a, placeId: other, at: wall(0) }));
    expect(await next(id)).toEqual(["C", "B"]);
  });

  it("a second look at a plant, from another device, is kept, and the plant is done once; a look outranks a skip", async () => {
    const a = await plantOn(context, shelf, { code: "A" });
    const id = await begin();
    const [one, two] = [aLook(a, 0, { walkId: id }), aLook(a, 0, { walkId: id, note: "other phone" })];
    await Promise.all([recordLook(context, one), recordLook(context, two), recordLook(context, one)]);
    const { looks } = (await readPlant(context, a))!.record;
    expect(looks.map((look) => look.walkId)).toEqual([id, id]);
    expectOk(await skipPlant(context, { id: uuidv7(), walkId: id, plantId: a, reason: "noTime", at: wall(0) }));
    const { stops, events } = await view(id);
    expect(events).toHaveLength(3);
    expect(progressOf(stops, [], events).done.map(({ event }) => event.kind)).toEqual(["clean"]);
    expect((await readWalks(context)).unfinished).toMatchObject([{ plants: 1, done: 1 }]);
    // One of the two taken back, the plant has still been looked at.
    expectOk(await voidFact(context, { kind: "look", factId: one.id, reason: "Undone on the walk." }));
    expect(progressOf(stops, [], (await view(id)).events).done).toMatchObject([{ event: { id: two.id } }]);
    expect(codes(await recordLook(context, aLook(a, 0, { walkId: uuidv7() })))).toEqual(["walkId unknown"]);
  });

  it("spots and stages of a find are the plant's and the pest's own", async () => {
    const a = await plantOn(context, shelf);
    const find = aFind({ spots: ["axil"], stages: ["adult", "egg"] });
    const naming = {
      present: ["cottonTufts" as const],
      absent: [],
      by: "signs" as const,
      likeliest: "mealybug" as const,
    };
    expectOk(await recordLook(context, aLook(a, 0, { finds: [find], naming, turned: false })));
    const [look] = (await readPlant(context, a))!.record.looks;
    expect(look).toMatchObject({ turned: false, naming, finds: [{ spots: ["axil"], stages: ["adult", "egg"] }] });
    const wrongSpot = aLook(a, 0, { finds: [aFind({ spots: ["areole"] })] });
    expect(codes(await recordLook(context, wrongSpot))).toEqual(["finds spot_not_there"]);
    const wrongStage = aLook(a, 0, { finds: [aFind({ stages: ["larva"] })] });
    expect(codes(await recordLook(context, wrongStage))).toEqual(["finds unknown"]);
  });

  it("a look at one side counts half in the judgement of a case", async () => {
    const a = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, a, 8);
    expectOk(await recordLook(context, aLook(a, 0, { turned: false, tool: "loupe", spots: ["underside"] })));
    const half = (await readCase(context, caseId))!.file!.events.at(-1);
    expect(half).toMatchObject({
      type: "inspection",
      found: 0,
      see: { adult: [expect.closeTo((0.9 * 0.12) / 2 / 0.35, 5), 0, 0] },
    });
  });
});

describe("signs on record", () => {
  it("are counted against the table, and a keeper's own word is told", async () => {
    const a = await plantOn(context, shelf);
    const naming = { present: ["webbing" as const], absent: ["ants" as const], likeliest: "spiderMite" as const };
    const find = aFind({ pest: "spiderMite" });
    expectOk(await recordLook(context, aLook(a, 2, { finds: [find], naming: { ...naming, by: "signs" } })));
    expectOk(await recordLook(context, aLook(a, 1, { naming: { ...naming, by: "keeper" } })));
    const { records, looks, overruled } = await readSigns(context);
    expect([looks, overruled]).toEqual([2, 1]);
    expect(records).toContainEqual(
      expect.objectContaining({
        sign: "webbing",
        pest: "spiderMite",
        present: expect.objectContaining({ hits: 1, of: 1 }) as object,
        expected: 0.3,
      }),
    );
    expect(records).toContainEqual(
      expect.objectContaining({
        sign: "ants",
        pest: null,
        present: expect.objectContaining({ hits: 0, of: 1 }) as object,
      }),
    );
  });
});

describe("photos", () => {
  const picture = (width = 40, height = 30) => sharp({ create: { width, height, channels: 3, background: "#446622" } });

  it("are kept small, upright and without what the camera wrote beside the picture", async () => {
    const a = await plantOn(context, shelf);
    const look = aLook(a, 0);
    expectOk(await recordLook(context, look));
    // Orientation 6 is a camera held upright: the picture must be turned, and its GPS position be gone.
    const exif = { IFD0: { Copyright: "me" }, IFD3: { GPSLatitudeRef: "N", GPSLatitude: "38/1 42/1 0/1" } };
    const bytes = await picture(2400, 1200).withExif(exif).withMetadata({ orientation: 6, exif }).jpeg().toBuffer();
    expect((await sharp(bytes).metadata()).exif).toBeDefined();
    const id = uuidv7();
    expectOk(await addPhoto(context, { id, lookId: look.id, bytes }));
    expectOk(await addPhoto(context, { id, lookId: look.id, bytes }));
    const kept = (await readPhoto(context, id))!;
    const seen = await sharp(kept.bytes).metadata();
    expect(seen).toMatchObject({ format: "jpeg", width: 800, height: 1600 });
    expect(seen.exif).toBeUndefined();
    expect(seen.orientation).toBeUndefined();
    expect((await readPlant(context, a))!.photos).toMatchObject([{ id, lookId: look.id, width: 800, height: 1600 }]);
    expectOk(await voidFact(context, { kind: "photo", factId: id, reason: "blurred" }));
    expect(await readPhoto(context, id)).toBeNull();
    expect(await readPhoto(context, "none")).toBeNull();
  });

  it("refuses what is no picture, whatever it calls itself, what is too large, and a look that is not there", async () => {
    const a = await plantOn(context, shelf);
    const look = aLook(a, 0);
    expectOk(await recordLook(context, look));
    const add = (bytes: Buffer, lookId = look.id) => addPhoto(context, { id: uuidv7(), lookId, bytes });
    expect(codes(await add(Buffer.from("<svg xmlns='http://www.w3.org/2000/svg' width='9' height='9'/>")))).toEqual([
      "photo no_photo",
    ]);
    expect(codes(await add(Buffer.from("not a picture")))).toEqual(["photo no_photo"]);
    expect(codes(await add(Buffer.alloc(10 * 1024 * 1024 + 1)))).toEqual(["photo photo_too_large"]);
    const small = await picture().png().toBuffer();
    expect(codes(await add(small, uuidv7()))).toEqual(["lookId unknown"]);
    // Forty at once, as a phone sends a whole film: twelve are kept, and each of the others is told.
    const all = await Promise.all(Array.from({ length: 40 }, () => add(small)));
    expect(all.filter((outcome) => outcome.ok)).toHaveLength(12);
    expect(new Set(all.flatMap(codes))).toEqual(new Set(["photo too_many_photos"]));
  });

  it("never unpacks a picture of more pixels than a camera takes", async () => {
    const a = await plantOn(context, shelf);
    const look = aLook(a, 0);
    expectOk(await recordLook(context, look));
    // An interlaced picture of one colour is small as a file and 100 million pixels in memory.
    const trap = await picture(10_000, 10_000).png({ progressive: true }).toBuffer();
    expect(trap.length).toBeLessThan(10 * 1024 * 1024);
    expect(codes(await addPhoto(context, { id: uuidv7(), lookId: look.id, bytes: trap }))).toEqual(["photo no_photo"]);
  });
});
