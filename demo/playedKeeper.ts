import { v5 as uuidv5 } from "uuid";
import { applicationEvents } from "../src/core/acts/contact";
import { genusNamed } from "../src/core/knowledge/plants/genera";
import { spotsOf, type GrowthFormId } from "../src/core/knowledge/plants/growthForms";
import { pestOf, type PestId } from "../src/core/knowledge/pests/pests";
import { eggToAdultDays } from "../src/core/knowledge/pests/stageDurations";
import { spotsFor } from "../src/core/knowledge/remedies/remedies";
import { allScenarios } from "../src/core/model/clearance/scenarios";
import { diceFrom, liveOn, type Dice, type Life } from "../src/core/model/clearance/tests/simulate";
import { seeChances, seeShare } from "../src/core/model/inspection/see";
import { severityOf } from "../src/core/model/inspection/severity";
import { sitesOn } from "../src/core/model/inspection/sitesOn";
import { layoutOf } from "../src/core/model/population/layout";
import { stableGrowth } from "../src/core/model/population/stable";
import { stepFor } from "../src/core/model/population/step";
import type { TreatmentEvent } from "../src/core/model/population/events";
import { usualSettings, type Settings } from "../src/core/record/facts/settings";
import { addDays } from "../src/core/shared/days";
import { connect } from "../src/db/connection";
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

/** How many cases two years hold. */
const PLAYED_CASES = 25;

/**
 * Two years of a made-up keeper, animals played one by one: each visit is a look with the lamp and one with lamp and loupe, what is found is
 * washed and swabbed each week until it is not found any more. The same truth gives the same two years; loaded again it stays as it is. Gives how many cases that were.
 */
export async function loadPlayedKeeper(
  databaseUrl: string,
  now: Date,
  truth: PlayedTruth,
  cases = PLAYED_CASES,
): Promise<{ collectionId: string; cases: number }> {
  const sequelize = connect(databaseUrl);
  const idOf = (...parts: readonly (string | number)[]) =>
    uuidv5([truth.misses, truth.sees, cases, ...parts].join("/"), NAMESPACE);
  const id = idOf("collection");
  return sequelize.transaction(async (transaction) => {
    if (await collections.find({ sequelize, transaction }, id)) return { collectionId: id, cases: 0 };
    const settings = { ...usualSettings, name: "A played keeper", timeZone: "Europe/Lisbon" };
    const collection = {
      ...{ id, ...settings, isDemo: false, settingsVersion: 1, toldElsewhere: null },
      owns: ["lamp", "loupe"] satisfies Settings["owns"],
      bottles: [],
    };
    await collections.add({ sequelize, transaction }, collection, now);
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
      for (let n = 0; n < cases; n++) await playCase(n, truth, diceFrom(20_261_201 + n), { at, idOf });
    });
    return { collectionId: id, cases };
  });
}

interface Writing {
  readonly at: (ago: number, time: string) => Context;
  readonly idOf: (...parts: readonly (string | number)[]) => string;
}

/** A colony of three to forty on a plant of its own, in one of the nine ways the world may be. */
function colony(dice: Dice, pest: PestId, form: GrowthFormId, misses: number): Life {
  const what = pestOf(pest);
  const sites = sitesOn(form, pest);
  const layout = layoutOf(what);
  const dt = stepFor(layout, CELSIUS, 0.25);
  const shares = [...stableGrowth(layout, sites, CELSIUS, dt).shares];
  let at = dice.uniform();
  const scenario = allScenarios.find(({ prior }) => (at -= prior) < 0) ?? allScenarios[0]!;
  const truth = { ...scenario, escape: scenario.escape * misses };
  const history = { pest: what, sites, dailyMeanC: [CELSIUS], timeStepDays: 0.25, events: [] };
  return liveOn(history, shares, dt, truth, dice, 3 + Math.floor(38 * dice.uniform() ** 2));
}

/** One case from its find to its end. */
async function playCase(n: number, truth: PlayedTruth, dice: Dice, { at, idOf }: Writing): Promise<void> {
  const [name, genus, pest, room] = kinds[n % kinds.length]!;
  const form = genusNamed(genus)!.form;
  const begun = FIRST_AGO - n * EVERY_DAYS;
  const plantId = idOf("plant", n);
  const described = {
    code: `P${String(n + 1).padStart(2, "0")}`,
    name,
    genus,
    growthForm: form,
    potCm: 14,
    seller: "",
  };
  const stands = {
    placementId: idOf("placement", n),
    placeId: idOf("room", room),
    slot: n,
    inFlower: false,
    acquiredOn: null,
  };
  expectOk(await addPlant(at(begun + 1, "10:00"), { id: plantId, ...described, ...stands }));

  const spots = spotsOf(form).filter((spot) => spot !== "roots");
  const sights = (["lamp", "loupe"] as const).map((tool) => {
    const see = seeChances(pestOf(pest), pest, form, { tool, spots });
    return { tool, see: tool === "lamp" ? seeShare(see, truth.sees) : see };
  });
  const applied = {
    remedy: "soap",
    technique: "sprayAndSwab",
    on: { form, weights: pest, spots: spotsFor("sprayAndSwab", form) },
  } as const;
  const [wash] = applicationEvents(pestOf(pest), applied, 0) as unknown as [TreatmentEvent];
  const caseId = idOf("case", n);
  /** Both looks of a visit; how many were found. */
  const visit = async (day: number, life: Life) => {
    const seen = sights.map(({ tool, see }) => ({ tool, count: life.look(see) }));
    const found = Math.max(...seen.map(({ count }) => count));
    if (day === 0 && found === 0) return 0;
    for (const [i, { tool, count }] of seen.entries()) {
      const context = at(begun - day, `18:${i}0`);
      const find = { id: idOf("find", n, day, tool), caseId, pest, severity: severityOf(Math.max(1, count)), count };
      const looked = { id: idOf("look", n, day, tool), plantId, at: context.now, tool, spots, note: "", naming: null };
      expectOk(await recordLook(context, { ...looked, finds: count > 0 ? [{ ...find, removed: false }] : [] }));
    }
    return found;
  };

  let life = colony(dice, pest, form, truth.misses);
  while ((await visit(0, life)) === 0) life = colony(dice, pest, form, truth.misses);
  const generation = eggToAdultDays(pestOf(pest), CELSIUS)!;
  const treat = async (day: number) => {
    life.treat(wash);
    const context = at(begun - day, "19:00");
    const filed = { plantId, placeId: null, caseId, stepId: null, note: "", alreadyDone: true };
    const act = { kind: "contact", mix: "soapMild", technique: "sprayAndSwab", volumeMl: 90, spots: applied.on.spots };
    const done = { id: idOf("treat", n, day), ...filed, act, at: context.now };
    expectOk(await recordAct(context, done as Parameters<typeof recordAct>[1]));
  };
  await treat(0);
  let [treated, lastLive, clean] = [1, 0, 0];
  for (let day = 1; ; day++) {
    life.pass(1);
    const last = day >= GIVES_UP_AFTER || begun - day <= 1 || life.hopeless();
    if (day % 7 !== 0 && !last) continue;
    const found = await visit(day, life);
    if (found > 0) [lastLive, clean] = [day, 0];
    const over = found === 0 && treated >= TREATMENTS && ++clean >= CLEAN_LOOKS && day - lastLive >= generation;
    if (over || last) {
      const context = at(begun - day, "20:00");
      const outcome = over ? ("clear" as const) : ("givenUp" as const);
      expectOk(await closeCase(context, { id: idOf("close", n), caseId, outcome, at: context.now, note: "" }));
      return;
    }
    if (found > 0 || treated < TREATMENTS) {
      await treat(day);
      treated++;
      clean = 0;
    }
  }
}
