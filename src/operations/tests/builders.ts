import { inject } from "vitest";
import { v7 as uuidv7 } from "uuid";
import type { Day } from "@/core/shared/days";
import { addDays } from "@/core/shared/days";
import type { AddPlant } from "@/core/record/facts/commands";
import type { Bottle } from "@/core/knowledge/household/bottles";
import type { RecordAct } from "@/core/record/facts/kinds/act";
import type { RecordLook } from "@/core/record/facts/kinds/look";
import type { AdoptPlan } from "@/core/record/facts/kinds/programme";
import { usualSettings } from "@/core/record/facts/settings";
import type { MixId } from "@/core/knowledge/mixes/mixes";
import type { SpotId } from "@/core/knowledge/plants/spots";
import type { TechniqueId } from "@/core/knowledge/remedies/remedies";
import { connect } from "@/db/connection";
import type { ExperienceFile } from "@/core/record/format/experienceFile";
import * as collections from "@/db/stores/collections";
import { dayIn, instantOf } from "@/zones";
import { addPlace } from "../places/commands/addPlace";
import { addPlant } from "../plants/commands/addPlants";
import type { Context } from "../shared/context";
import { expectOk, type Outcome } from "../shared/outcome";
import { recordLook } from "../looks/commands/recordLook";

/** The day the tests play on: 24 November 2026, 18:00 in Lisbon. */
export const NOW = new Date("2026-11-24T18:00:00Z");
const ZONE = "Europe/Lisbon";

export const daysAgo = (context: Context, days: number): Context => ({
  ...context,
  now: new Date(context.now.getTime() - days * 86_400_000),
});

/** The moment of a wall time so many days before the tests' day. */
export const wall = (days: number, time = "18:00", zone = ZONE, now = NOW) =>
  instantOf(`${addDays(dayIn(now, zone), -days)}T${time}`, zone);

/** What an operation refused, as "field code". */
export const codes = (outcome: Outcome<unknown>) =>
  outcome.ok ? [] : outcome.problems.map(({ path, code }) => `${path} ${code}`);

/** A fresh collection with two shelves and an isolation place in an otherwise shared database. */
export async function freshCollection(over: Partial<collections.Collection> = {}, now = NOW, url = inject("appUrl")) {
  const sequelize = connect(url);
  const collection: collections.Collection = {
    id: uuidv7(),
    ...usualSettings,
    name: "Test collection",
    timeZone: ZONE,
    alcoholPercent: 96,
    isDemo: false,
    bottles: [],
    settingsVersion: 1,
    toldElsewhere: null,
    ...over,
  };
  const context: Context = { sequelize, collection, actor: "Tester", role: "owner", now };
  await collections.add({ sequelize, transaction: undefined }, collection, daysAgo(context, 100).now);
  const place = async (name: string, kind: "room" | "shelf" | "isolation", celsius: number) => {
    const id = uuidv7();
    const command = { id, name, kind, parentId: null, celsius, readingId: uuidv7() };
    expectOk(await addPlace(daysAgo(context, 100), command));
    return id;
  };
  const shelf = await place("Shelf", "shelf", 25);
  const other = await place("Other shelf", "shelf", 20);
  const pantry = await place("Pantry", "isolation", 22);
  return { context, shelf, other, pantry };
}

export function aPlant(placeId: string, over: Partial<AddPlant> = {}): AddPlant {
  const id = uuidv7();
  return {
    id,
    placementId: uuidv7(),
    placeId,
    code: id.slice(-8),
    name: "Wax flower",
    genus: "Hoya",
    growthForm: "trailingVine",
    potCm: 12,
    acquiredOn: null,
    seller: "",
    inFlower: false,
    ...over,
  };
}

/** Adds a plant sixty days ago and gives its id. */
export async function plantOn(context: Context, placeId: string, over: Partial<AddPlant> = {}): Promise<string> {
  const command = aPlant(placeId, over);
  expectOk(await addPlant(daysAgo(context, 60), command));
  return command.id;
}

export const aLook = (plantId: string, daysBack: number, over: Partial<RecordLook> = {}): RecordLook => ({
  id: uuidv7(),
  plantId,
  at: wall(daysBack),
  tool: "lamp",
  spots: ["axil", "underside"],
  note: "",
  finds: [],
  ...over,
});

export const aFind = (over: Partial<RecordLook["finds"][number]> = {}): RecordLook["finds"][number] => ({
  id: uuidv7(),
  caseId: uuidv7(),
  pest: "mealybug",
  severity: "light",
  count: 5,
  removed: false,
  ...over,
});

/** Records a find so many days ago and gives the case it opened. */
export async function openCaseOn(context: Context, plantId: string, daysBack: number): Promise<string> {
  const find = aFind();
  expectOk(await recordLook(context, aLook(plantId, daysBack, { finds: [find] })));
  return find.caseId;
}

interface Spray {
  mix?: MixId;
  technique?: TechniqueId;
  spots?: readonly SpotId[];
  volumeMl?: number;
}

/** A spray, or what `over` makes of it, on a plant; in a case where one is named. */
export const aSpray = (
  plantId: string,
  caseId: string | null,
  daysBack: number,
  { mix = "alcoholHalf", technique = "dab", spots = ["axil"], volumeMl = 5 }: Spray = {},
  over: Partial<RecordAct> = {},
): RecordAct => ({
  id: uuidv7(),
  plantId,
  placeId: null,
  caseId,
  stepId: null,
  act: { kind: "contact", mix, technique, volumeMl, spots: [...spots] },
  at: wall(daysBack, "19:00"),
  note: "",
  alreadyDone: false,
  ...over,
});

/** A plan of the keeper's own dates. */
export const aPlan = (caseId: string, dates: readonly string[], over: Partial<AdoptPlan> = {}): AdoptPlan => ({
  id: uuidv7(),
  caseId,
  mix: "alcoholHalf",
  technique: "dab",
  basis: "own",
  dates: dates as Day[],
  ...over,
});

/** A bottle of plain soap with a label. */
export function aBottle(over: Partial<Bottle> = {}): Bottle {
  return {
    ...{ id: uuidv7(), name: "Green soap", active: "soap", percent: null, unit: "mL", perLitre: 10 },
    ...{ everyDays: null, mostTimes: null, allowed: ["indoors", "outdoors"], size: 500, openedOn: null },
    ...{ bestBefore: null, emptiedOn: null, price: null },
    ...over,
  };
}

/** What one other keeper's record has taught: sprays that miss much, every second plant that came infested, and shelves on which twice as much passes. */
export const experienceOfOne: ExperienceFile = {
  format: "wary-petal.experience",
  version: 3,
  from: [
    {
      keeper: "1".repeat(32),
      cases: 21,
      ...{ courses: [], sights: [], closings: [], eyes: [] },
      hands: [{ technique: "spray", cases: 20, worth: [16, 2, 2] }],
      arrivals: { plants: 40, showed: 20 },
      passing: { looks: 200, precision: 4, pull: 3 },
    },
  ],
};
