import { v5 as uuidv5 } from "uuid";
import { applicationEvents } from "../src/core/acts/contact";
import { genusNamed } from "../src/core/knowledge/plants/genera";
import { spotsOf } from "../src/core/knowledge/plants/growthForms";
import { pestOf, type PestId } from "../src/core/knowledge/pests/pests";
import { eggToAdultDays } from "../src/core/knowledge/pests/stageDurations";
import { spotsFor } from "../src/core/knowledge/remedies/remedies";
import { diceFrom, type Dice } from "../src/core/model/clearance/tests/dice";
import { colonyOf, drawnScenario, type Life } from "../src/core/model/clearance/tests/lives";
import { GUARD_DAYS } from "../src/core/model/inspection/cleanLooks";
import { seeChances, seeShare } from "../src/core/model/inspection/see";
import type { ToolId } from "../src/core/model/inspection/tools";
import { severityOf } from "../src/core/model/inspection/severity";
import { sitesOn } from "../src/core/model/inspection/sitesOn";
import type { TreatmentEvent } from "../src/core/model/population/events";
import { usualSettings, type Settings } from "../src/core/record/facts/settings";
import { addDays } from "../src/core/shared/days";
import { connect } from "../src/db/connection";
import * as accounts from "../src/db/stores/access/accounts";
import * as collections from "../src/db/stores/collections";
import { recordAct } from "../src/operations/acts/commands/recordAct";
import { closeCase } from "../src/operations/cases/commands/closeCase";
import { recordLook } from "../src/operations/looks/commands/recordLook";
import { addPlace } from "../src/operations/places/commands/addPlace";
import { addPlant } from "../src/operations/plants/commands/addPlants";
import { today, type Context } from "../src/operations/shared/context";
import { expectOk, inBatch } from "../src/operations/shared/outcome";
import { instantOf } from "../src/zones";

/** What is so of the keeper and stands nowhere in the record. */
export interface PlayedTruth {
  /** How many times as much as we suppose their sprays miss. */
  readonly misses: number;
  /** How much of what we suppose they see with the lamp alone; with the loupe as well they see what we suppose. */
  readonly sees: number;
}

const NAMESPACE = "0b0c4a56-6c0e-4f0e-8f55-2f7e3a6f6f02";
/** The first case began so many days ago, and each of the others so many later. */
const FIRST_AGO = 720;
const EVERY_DAYS = 26;
/** Nobody goes on for longer, days. */
const GIVES_UP_AFTER = 84;
const CELSIUS = 22;
/** Washed at least so often. */
const TREATMENTS = 3;
const CLEAN_LOOKS = 2;

/** Each kind of plant in a room of its own. */
const kinds: readonly (readonly [name: string, genus: string, pest: PestId, room: string])[] = [
  ["Gallery vine", "Hoya", "mealybug", "Gallery"],
  ["Chart-room palm", "Chamaedorea", "spiderMite", "Chart room"],
  ["Tide fern", "Asplenium", "aphid", "Wash-house"],
  ["Harbour orchid", "Phalaenopsis", "mealybug", "South landing"],
  ["Mast aroid", "Philodendron", "thrips", "Sail store"],
];

/** How many plants two years hold, each with a find. */
const PLANTS = 25;

const idsOf =
  ({ misses, sees }: PlayedTruth, plants: number) =>
  (...parts: readonly (string | number)[]) =>
    uuidv5([misses, sees, plants, ...parts].join("/"), NAMESPACE);

/** Removes the two years of such a keeper, with everything in them; whether they were there. */
export function removePlayedKeeper(databaseUrl: string, truth: PlayedTruth, plants = PLANTS): Promise<boolean> {
  const sequelize = connect(databaseUrl);
  const id = idsOf(truth, plants)("collection");
  return sequelize.transaction(async (transaction) => {
    const there = (await collections.find({ sequelize, transaction }, id)) !== null;
    if (there) await collections.remove({ sequelize, transaction }, id);
    return there;
  });
}

/**
 * Two years of a made-up keeper, animals played one by one: each visit is a look with the lamp and one with lamp and loupe, what is found is
 * washed and swabbed each week until it is not found any more, and looked for again for twelve weeks. The same truth gives the same two years; loaded again it stays as it is. Gives how many plants that were; 0 where they were there.
 */
export async function loadPlayedKeeper(
  databaseUrl: string,
  now: Date,
  truth: PlayedTruth,
  plants = PLANTS,
): Promise<{ collectionId: string; plants: number }> {
  const sequelize = connect(databaseUrl);
  const idOf = idsOf(truth, plants);
  const id = idOf("collection");
  return sequelize.transaction(async (transaction) => {
    if (await collections.find({ sequelize, transaction }, id)) return { collectionId: id, plants: 0 };
    const settings = { ...usualSettings, name: "A played keeper", timeZone: "Europe/Lisbon" };
    const collection = {
      ...{ id, ...settings, isDemo: false, settingsVersion: 1, toldElsewhere: null },
      owns: ["lamp", "loupe"] satisfies Settings["owns"],
      bottles: [],
    };
    await collections.add({ sequelize, transaction }, collection, now);
    await accounts.giveToOwners({ sequelize, transaction, collectionId: id }, id);
    const context: Context = { sequelize, collection, actor: "The played keeper", role: "owner", now };
    await inBatch(context, transaction, async (batch) => {
      const at = (ago: number, time: string): Context => {
        const then = instantOf(`${addDays(today(batch), -ago)}T${time}`, settings.timeZone);
        return { ...batch, now: then < now ? then : now };
      };
      for (const [, , , name] of kinds) {
        const room = { id: idOf("room", name), name, kind: "room" as const, parentId: null };
        const warmth = { celsius: CELSIUS, readingId: idOf("reading", name) };
        expectOk(await addPlace(at(FIRST_AGO + 30, "10:00"), { ...room, ...warmth }));
      }
      for (let n = 0; n < plants; n++) await playPlant(n, truth, diceFrom(20_261_201 + n), { at, idOf });
    });
    return { collectionId: id, plants };
  });
}

interface Writing {
  readonly at: (ago: number, time: string) => Context;
  readonly idOf: (...parts: readonly (string | number)[]) => string;
}

interface Sighting {
  readonly tool: ToolId;
  readonly count: number;
}

/** A plant with what really lives on it, and what the keeper does there and writes down; days from its first find, cases from 0. */
async function plantOf(n: number, truth: PlayedTruth, dice: Dice, { at, idOf }: Writing) {
  const [name, genus, pest, room] = kinds[n % kinds.length]!;
  const form = genusNamed(genus)!.form;
  const begun = FIRST_AGO - n * EVERY_DAYS;
  const plantId = idOf("plant", n);
  const added = { id: plantId, code: `P${String(n + 1).padStart(2, "0")}`, name, genus, growthForm: form };
  const stands = { placementId: idOf("placement", n), placeId: idOf("room", room), slot: n };
  const usual = { potCm: 14, seller: "", inFlower: false, acquiredOn: null };
  expectOk(await addPlant(at(begun + 1, "10:00"), { ...added, ...stands, ...usual }));

  const what = pestOf(pest);
  const spots = spotsOf(form).filter((spot) => spot !== "roots");
  const eyes = (["lamp", "loupe"] as const).map((tool) => {
    const see = seeChances(what, pest, form, { tool, spots });
    return { tool, see: tool === "lamp" ? seeShare(see, truth.sees) : see };
  });
  const looks = (life: Life): Sighting[] => eyes.map(({ tool, see }) => ({ tool, count: life.look(see) }));
  const history = { pest: what, sites: sitesOn(form, pest), dailyMeanC: [CELSIUS], timeStepDays: 0.25, events: [] };
  const colony = () => {
    const scenario = drawnScenario(dice, truth.misses);
    return colonyOf(3 + Math.floor(38 * dice.uniform() ** 2), history, scenario, dice);
  };
  // A colony that nobody finds is no case: the next one is.
  let life = colony();
  let first = looks(life);
  while (!any(first)) {
    life = colony();
    first = looks(life);
  }

  const washed = spotsFor("sprayAndSwab", form);
  const on = { form, weights: pest, spots: washed };
  const [wash] = applicationEvents(what, { remedy: "soap", technique: "sprayAndSwab", on }, 0) as unknown as [
    TreatmentEvent,
  ];
  return {
    life,
    first,
    looks: () => looks(life),
    generation: eggToAdultDays(what, CELSIUS)!,
    /** So many days are there until today. */
    days: begun - 1,
    async write(day: number, nth: number, seen: readonly Sighting[]) {
      for (const [i, { tool, count }] of seen.entries()) {
        const context = at(begun - day, `18:${i}0`);
        const look = { id: idOf("look", n, day, tool), plantId, at: context.now, tool, spots, note: "", naming: null };
        const found = { id: idOf("find", n, day, tool), caseId: idOf("case", n, nth), pest, removed: false };
        const finds = count > 0 ? [{ ...found, severity: severityOf(count), count }] : [];
        expectOk(await recordLook(context, { ...look, finds }));
      }
    },
    async treat(day: number, nth: number) {
      life.treat(wash);
      const context = at(begun - day, "19:00");
      const act = {
        ...{ kind: "contact" as const, mix: "soapMild" as const, technique: "sprayAndSwab" as const },
        ...{ volumeMl: 90, spots: washed },
      };
      const filed = { plantId, placeId: null, caseId: idOf("case", n, nth), stepId: null, note: "", alreadyDone: true };
      expectOk(await recordAct(context, { id: idOf("treat", n, day), ...filed, act, at: context.now }));
    },
    async close(day: number, nth: number, outcome: "clear" | "givenUp") {
      const context = at(begun - day, "20:00");
      const closing = { id: idOf("close", n, nth), caseId: idOf("case", n, nth), note: "" };
      expectOk(await closeCase(context, { ...closing, outcome, at: context.now }));
    },
  };
}

const any = (seen: readonly Sighting[]) => seen.some(({ count }) => count > 0);

/** One plant, from its first find until it has been watched to the end of the guard: what comes back meanwhile is a case of its own. */
async function playPlant(n: number, truth: PlayedTruth, dice: Dice, writing: Writing): Promise<void> {
  const plant = await plantOf(n, truth, dice, writing);
  let nth = 0;
  let course = { begun: 0, treated: 1, lastLive: 0, clean: 0 };
  let closed: number | null = null;
  await plant.write(0, nth, plant.first);
  await plant.treat(0, nth);
  for (let day = 1; day <= plant.days; day++) {
    plant.life.pass(1);
    if (closed !== null) {
      const since: number = day - closed;
      if (since > GUARD_DAYS.at(-1)!) return;
      if (!GUARD_DAYS.some((guard) => guard === since)) continue;
      const seen = plant.looks();
      const back = any(seen);
      if (back) nth++;
      await plant.write(day, nth, seen);
      if (!back) continue;
      closed = null;
      course = { begun: day, treated: 1, lastLive: day, clean: 0 };
      await plant.treat(day, nth);
      continue;
    }
    const givesUp = day - course.begun >= GIVES_UP_AFTER || plant.life.hopeless();
    if ((day - course.begun) % 7 !== 0 && !givesUp) continue;
    const seen = plant.looks();
    await plant.write(day, nth, seen);
    course = any(seen) ? { ...course, lastLive: day, clean: 0 } : { ...course, clean: course.clean + 1 };
    const { treated, clean, lastLive } = course;
    if (treated >= TREATMENTS && clean >= CLEAN_LOOKS && day - lastLive >= plant.generation) {
      await plant.close(day, nth, "clear");
      closed = day;
    } else if (givesUp) {
      return plant.close(day, nth, "givenUp");
    } else if (any(seen) || treated < TREATMENTS) {
      await plant.treat(day, nth);
      course = { ...course, treated: treated + 1, clean: 0 };
    }
  }
}
