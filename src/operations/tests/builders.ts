import { inject } from "vitest";
import { v7 as uuidv7 } from "uuid";
import { usualSettings, type AddPlant, type RecordLook, type RecordTreatment, type Settings } from "@/core/facts/deeds";
import { connect } from "@/db/connection";
import { migrate } from "@/db/migrate";
import * as collections from "@/db/stores/collections";
import { addPlace } from "../addPlace";
import { addPlant } from "../addPlant";
import type { Context } from "../context";
import { expectOk } from "../outcome";
import { recordLook } from "../recordLook";

/** The day the tests play on: 24 November 2026, 18:00 in Lisbon. */
export const NOW = new Date("2026-11-24T18:00:00Z");

export const daysAgo = (context: Context, days: number): Context => ({
  ...context,
  now: new Date(context.now.getTime() - days * 86_400_000),
});

export const wall = (days: number, time = "18:00") =>
  `${new Date(NOW.getTime() - days * 86_400_000).toISOString().slice(0, 10)}T${time}`;

/** A fresh collection with two shelves and an isolation place in an otherwise shared database. */
export async function freshCollection() {
  const sequelize = connect(inject("databaseUrl"));
  await migrate(sequelize);
  const collection = {
    id: uuidv7(),
    ...usualSettings,
    name: "Test collection",
    timeZone: "Europe/Lisbon",
    alcoholPercent: 96,
  } satisfies Settings & { id: string };
  const context: Context = { sequelize, collection, now: NOW };
  await collections.add(sequelize, collection, daysAgo(context, 100).now);
  const place = async (name: string, kind: "room" | "shelf" | "isolation", meanC: number) => {
    const id = uuidv7();
    expectOk(await addPlace(context, { id, name, kind, parentId: null, meanC }));
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
  const deed = aPlant(placeId, over);
  expectOk(await addPlant(daysAgo(context, 60), deed));
  return deed.id;
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

export const aTreatment = (caseId: string, daysBack: number, over: Partial<RecordTreatment> = {}): RecordTreatment => ({
  id: uuidv7(),
  caseId,
  stepId: null,
  mix: "alcoholHalf",
  technique: "dab",
  volumeMl: 5,
  spots: ["axil"],
  at: wall(daysBack, "19:00"),
  note: "",
  alreadyDone: false,
  ...over,
});
