import { type Sequelize, type Transaction } from "sequelize";
import { v5 as uuidv5 } from "uuid";
import { addDays, daysBetween, type Day } from "../src/core/shared/days";
import type { Bottle } from "../src/core/knowledge/household/bottles";
import { genusNamed } from "../src/core/knowledge/plants/genera";
import type { PestId } from "../src/core/knowledge/pests/pests";
import { spotsOf, type GrowthFormId } from "../src/core/knowledge/plants/growthForms";
import { connect } from "../src/db/connection";
import { pastDeadlocks } from "../src/operations/shared/pastDeadlocks";
import * as collections from "../src/db/stores/collections";
import { addPlace } from "../src/operations/places/commands/addPlace";
import { arrangePlaces } from "../src/operations/places/commands/arrangePlaces";
import { addPlant } from "../src/operations/plants/commands/addPlants";
import { adoptPlan } from "../src/operations/cases/commands/adoptPlan";
import { archivePlant } from "../src/operations/plants/commands/archivePlant";
import { closeCase } from "../src/operations/cases/commands/closeCase";
import { today, type Context } from "../src/operations/shared/context";
import { editPlace } from "../src/operations/places/commands/editPlace";
import { movePlant } from "../src/operations/plants/commands/movePlant";
import { expectOk, inBatch } from "../src/operations/shared/outcome";
import { readPlant } from "../src/operations/plants/queries/readPlant";
import { recordAct } from "../src/operations/acts/commands/recordAct";
import { recordLook } from "../src/operations/looks/commands/recordLook";
import { setApart } from "../src/operations/plants/commands/setApart";
import { dayIn, instantOf } from "../src/zones";
import { bottles, drips, places, plan, plants, settings, SKIPS } from "./collection";
import { loadAir, loadGnats } from "./rooms";
import { cameBefore, loadYear, longThere, movedMeanwhile, YEAR_AGO } from "./year";
import { arrival, happenings, roundSpots, type Happening } from "./history";

/** The same name gives the same id at every load, so that the demo is the same collection wherever it is loaded. */
const NAMESPACE = "8d2f0a3e-5f0c-4a4e-9f0a-6f1f5d1f7c11";
export const idOf = (...parts: readonly (string | number)[]) => uuidv5(parts.join("/"), NAMESPACE);
export const DEMO_ID = idOf("collection");

/** Who wrote the demo's record. */
const ACTOR = "The light-keeper";

const WEEKS = 10;
/** The last round was six days ago, so that some looks fall due tomorrow and those it skipped are overdue. */
const LAST_ROUND_AGO = 6;
const LOCK_KEY = 725_114_011;

/**
 * Loads the demo collection through the operations, in one transaction: it is there whole or not at all. One that is there
 * already stays as it is.
 */
export function loadDemo(databaseUrl: string, now: Date): Promise<{ plants: number; looks: number; cases: number }> {
  return inTurn(databaseUrl, async (sequelize, transaction) => {
    if (await collections.find({ sequelize, transaction }, DEMO_ID)) return { plants: 0, looks: 0, cases: 0 };
    return load(sequelize, now, transaction);
  });
}

/** Whether the demo is there, whoever may see it. */
export async function isDemoThere(databaseUrl: string): Promise<boolean> {
  return (await collections.find({ sequelize: connect(databaseUrl), transaction: undefined }, DEMO_ID)) !== null;
}

/** Puts the demo back to its first day: what was written down in it is gone. */
export async function resetDemo(databaseUrl: string, now: Date): Promise<void> {
  await inTurn(databaseUrl, async (sequelize, transaction) => {
    await collections.remove({ sequelize, transaction }, DEMO_ID);
    await load(sequelize, now, transaction);
  });
}

/** Removes the demo with everything in it. */
export function removeDemo(databaseUrl: string): Promise<void> {
  return inTurn(databaseUrl, (sequelize, transaction) => collections.remove({ sequelize, transaction }, DEMO_ID));
}

function inTurn<T>(
  databaseUrl: string,
  work: (sequelize: Sequelize, transaction: Transaction) => Promise<T>,
): Promise<T> {
  const sequelize = connect(databaseUrl);
  // What is reckoned of the demo meanwhile holds rows of it too.
  return pastDeadlocks(() =>
    sequelize.transaction(async (transaction) => {
      await sequelize.query("select pg_advisory_xact_lock(:key)", { replacements: { key: LOCK_KEY }, transaction });
      return work(sequelize, transaction);
    }),
  );
}

async function load(sequelize: Sequelize, now: Date, transaction: Transaction) {
  const collection = {
    ...{ id: DEMO_ID, ...settings, isDemo: true, settingsVersion: 1, toldElsewhere: null },
    bottles: cupboard(dayIn(now, settings.timeZone)),
  };
  const context: Context = { sequelize, collection, actor: ACTOR, role: "owner", now };
  const first = at(context, YEAR_AGO, "10:00");
  await collections.add({ sequelize, transaction }, collection, first.now);
  return inBatch(context, transaction, live);
}

/** What stands in the cupboard of the Lamp House. */
function cupboard(day: Day): Bottle[] {
  return bottles.map(({ key, openedAgo, bestBeforeIn, onFood, ...said }) => ({
    ...{ id: idOf("bottle", key), unit: "mL", perLitre: null, everyDays: null, mostTimes: null, emptiedOn: null },
    ...{
      allowed: ["indoors", "outdoors", ...(onFood ? ["food" as const] : [])],
      ...said,
      openedOn: addDays(day, -openedAgo),
    },
    bestBefore: bestBeforeIn === null ? null : addDays(day, bestBeforeIn),
  }));
}

/** Ten weeks in the Lamp House, one after the other. */
async function live(context: Context) {
  await addPlaces(at(context, YEAR_AGO, "10:00"));
  await arrangeRooms(at(context, YEAR_AGO, "10:05"));
  await addThem(at(context, YEAR_AGO, "11:00"), (code) => longThere.has(code));
  const before = await loadYear({
    at: (ago, time) => at(context, ago, time),
    ...{ idOf, formOf: (code) => formOf(rowOf(code)[2]), placeOf: (code) => rowOf(code)[3] },
  });
  let looks = before.looks;
  for (let ago = WEEKS * 7 + 1; ago >= 0; ago--) {
    if (ago === WEEKS * 7 + 1) await addTheOthers(at(context, ago, "10:00"));
    if (ago % 7 === LAST_ROUND_AGO && ago < WEEKS * 7) looks += await walkRound(at(context, ago, "18:00"), ago);
    for (const [index, happening] of happenings.entries()) {
      if (happening.ago !== ago) continue;
      // Within a day things happen in the order of the table, a minute apart.
      await happen(at(context, ago, `20:${String(index).padStart(2, "0")}`), happening, index);
      looks += Number(happening.command === "find" || happening.command === "look");
    }
  }
  await loadGnats((ago) => at(context, ago, "19:00"), idOf);
  await loadAir(context, idOf);
  const cases = new Set(happenings.flatMap((h) => (h.command === "find" ? [h.plant + h.pest] : []))).size;
  return { plants: plants.length + 1, looks, cases: cases + before.cases };
}

/** The context `ago` days back at a wall time; today's commands that would lie ahead happen now. */
function at(context: Context, ago: number, time: string): Context {
  const then = instantOf(`${addDays(today(context), -ago)}T${time}`, context.collection.timeZone);
  return { ...context, now: then < context.now ? then : context.now };
}

const rowOf = (code: string) => plants.find(([one]) => one === code)!;

async function addPlaces(context: Context): Promise<void> {
  for (const { key, parent, ...place } of places) {
    const ids = { id: idOf("place", key), readingId: idOf("reading", key), parentId: parent && idOf("place", parent) };
    expectOk(await addPlace(context, { ...place, ...ids }));
  }
  for (const [above, below] of drips) {
    const name = places.find(({ key }) => key === above)!.name;
    expectOk(await editPlace(context, { placeId: idOf("place", above), name, dripsOn: idOf("place", below) }));
  }
}

async function arrangeRooms(context: Context): Promise<void> {
  const where = plan.map(([key, column, row]) => ({ placeId: idOf("place", key), column, row }));
  expectOk(await arrangePlaces(context, { places: where }));
}

async function addThem(context: Context, which: (code: string) => boolean): Promise<void> {
  for (const [index, [code, name, genus, place, potCm, seller, extra]] of plants.entries()) {
    if (!which(code)) continue;
    const inFlower = extra?.inFlower ?? false;
    // They stand in the order of the table.
    const before = cameBefore[code];
    const acquiredOn = before === undefined ? null : addDays(today(context), -before);
    await add(context, { code, name, genus, potCm, seller, place, slot: index, inFlower, acquiredOn });
  }
}

/** The rest comes, and those that were there step back into their rows. */
async function addTheOthers(context: Context): Promise<void> {
  await addThem(context, (code) => !longThere.has(code));
  for (const [index, [code, , , place]] of plants.entries()) {
    const [before, , , beside] = plants[index - 1] ?? [];
    if (!movedMeanwhile.has(code)) continue;
    const after = before !== undefined && beside === place ? idOf("plant", before) : ("first" as const);
    const moved = { id: idOf("row", code), plantId: idOf("plant", code), placeId: idOf("place", place) };
    expectOk(await movePlant(context, { ...moved, after, at: context.now }));
  }
}

async function add(
  context: Context,
  plant: {
    code: string;
    name: string;
    genus: string;
    potCm: number;
    seller: string;
    place: string;
    slot: number | null;
    inFlower: boolean;
    acquiredOn: Day | null;
  },
): Promise<void> {
  const { place, ...description } = plant;
  const id = idOf("plant", plant.code);
  const placementId = idOf("placement", plant.code, "first");
  const growthForm = formOf(plant.genus);
  expectOk(await addPlant(context, { ...description, id, placementId, growthForm, placeId: idOf("place", place) }));
}

function formOf(genus: string): GrowthFormId {
  const known = genusNamed(genus);
  if (!known) throw new Error(`the demo names a genus that the table lacks: ${genus}`);
  return known.form;
}

/** One weekly round: every plant that is not in a case, but for the ones the pattern leaves out. */
async function walkRound(context: Context, ago: number): Promise<number> {
  let looks = 0;
  const week = Math.floor(ago / 7);
  for (const [index, [code]] of plants.entries()) {
    if ((index * SKIPS.plantStep + week * SKIPS.weekStep) % SKIPS.oneIn === 0 || isInCase(code, ago)) continue;
    await look(context, code, ["round", ago], { tool: week % 3 === 0 ? "lamp" : "eye", note: "" });
    looks++;
  }
  return looks;
}

function isInCase(code: string, ago: number): boolean {
  const begun = happenings.some((h) => h.plant === code && h.command === "find" && h.ago >= ago);
  const ended = happenings.some((h) => h.plant === code && h.command === "close" && h.ago >= ago);
  const binned = happenings.some(
    (h) => h.plant === code && h.command === "close" && h.outcome === "givenUp" && h.ago >= ago,
  );
  return binned || (begun && !ended);
}

type LookDeed = Parameters<typeof recordLook>[1];

async function look(
  context: Context,
  code: string,
  key: readonly (string | number)[],
  what: Pick<LookDeed, "tool" | "note" | "naming"> & {
    find?: Omit<LookDeed["finds"][number], "id" | "caseId">;
    everywhere?: true;
  },
): Promise<void> {
  const genus = plants.find(([c]) => c === code)?.[2] ?? arrival.genus;
  const there = spotsOf(formOf(genus));
  const find = what.find && { ...what.find, id: idOf("find", code, ...key), caseId: caseId(code, what.find.pest) };
  expectOk(
    await recordLook(context, {
      id: idOf("look", code, ...key),
      plantId: idOf("plant", code),
      at: context.now,
      tool: what.tool,
      spots: what.everywhere
        ? there.filter((spot) => spot !== "roots")
        : roundSpots.filter((spot) => there.includes(spot)),
      note: what.note,
      naming: what.naming,
      finds: find ? [find] : [],
    }),
  );
}

const caseId = (code: string, pest: string) => idOf("case", code, pest);

async function happen(context: Context, what: Happening, index: number): Promise<void> {
  const plantId = idOf("plant", what.plant);
  const id = idOf(what.command, what.plant, index);
  const moment = context.now;
  switch (what.command) {
    case "find": {
      const count = what.count ?? null;
      const find = { pest: what.pest, severity: what.severity, count, removed: what.removed ?? false };
      return look(context, what.plant, ["find", index], {
        tool: what.tool ?? "lamp",
        note: what.note,
        naming: named(what, what.pest),
        find,
      });
    }
    case "look":
      return look(context, what.plant, ["look", index], { ...what, naming: named(what, null) });
    case "apart":
    case "bag": {
      const placeId = what.command === "apart" ? idOf("place", "pantry") : null;
      const bagId = idOf("bag", what.plant);
      return void expectOk(await setApart(context, { id, plantId, placeId, bagId, at: moment }));
    }
    case "back": {
      const view = await readPlant(context, plantId);
      return void expectOk(await movePlant(context, { id, plantId, placeId: view!.before!.id, at: moment }));
    }
    case "plan": {
      const { mix, technique } = what;
      const start = today(context);
      const dates = Array.from({ length: what.times }, (_, i) => addDays(start, i * what.everyDays));
      const plan = { id, caseId: caseId(what.plant, what.pest), mix, technique, basis: "own" as const, dates };
      return void expectOk(await adoptPlan(context, plan));
    }
    case "treat":
      return treat(context, what, id);
    case "close": {
      const closing = { id, caseId: caseId(what.plant, what.pest), outcome: what.outcome, at: moment, note: what.note };
      expectOk(await closeCase(context, closing));
      if (what.outcome === "givenUp") expectOk(await archivePlant(context, { plantId, archived: true }));
      return;
    }
    case "arrive":
      return add(context, { ...arrival, place: "loft", slot: null, inFlower: false, acquiredOn: today(context) });
  }
}

/** How it was named, where signs were looked for: by them, unless they spoke for something else. */
function named({ signs }: Extract<Happening, { command: "find" | "look" }>, found: PestId | null): LookDeed["naming"] {
  if (!signs) return null;
  const likeliest = signs.spokeFor ?? found;
  const by = likeliest === found ? "signs" : "keeper";
  return { present: [...signs.present], absent: [...signs.absent], by, likeliest };
}

/** A treatment carries out the step of the plan that was due nearest to it. */
async function treat(context: Context, what: Extract<Happening, { command: "treat" }>, id: string): Promise<void> {
  const view = (await readPlant(context, idOf("plant", what.plant)))!;
  const { found, plan } = view.open.find((one) => one.found.pest === what.pest)!;
  const day = today(context);
  const left = plan!.steps.filter((step) => step.dose !== null && step.doneOn === null);
  const step = left.toSorted((a, b) => Math.abs(daysBetween(a.dueOn, day)) - Math.abs(daysBetween(b.dueOn, day)))[0]!;
  const dose = step.dose!;
  if (!("mix" in dose)) throw new RangeError(`${id} treats with a mix`);
  const { mix, technique } = dose;
  const spots = spotsOf(view.plant.growthForm).filter((spot) => spot !== "roots" && spot !== "pot");
  expectOk(
    await recordAct(context, {
      id,
      plantId: view.plant.id,
      placeId: null,
      caseId: found.id,
      stepId: step.id,
      act: { kind: "contact", mix, technique, volumeMl: what.volumeMl, spots },
      at: context.now,
      note: what.note ?? "",
      alreadyDone: false,
    }),
  );
}
