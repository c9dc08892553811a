"use server";

import { takeReading as takeReadingShape } from "@/core/facts/kinds/reading";
import { recordAct as recordActShape } from "@/core/facts/kinds/act";
import { closeCase as closeCaseShape } from "@/core/facts/kinds/closing";
import { recordLook as recordLookShape } from "@/core/facts/kinds/look";
import { movePlant as movePlantShape, setApart as setApartShape } from "@/core/facts/kinds/placement";
import { adoptPlan as adoptPlanShape } from "@/core/facts/kinds/programme";
import { recordReaction as recordReactionShape } from "@/core/facts/kinds/reaction";
import * as deeds from "@/core/facts/deeds";
import { now } from "@/clock";
import { databaseUrl } from "@/env";
import { askFor } from "@/jobs/ask";
import { beginCollection } from "@/operations/beginCollection";
import { addPlace } from "@/operations/addPlace";
import { addPlant, addPlants } from "@/operations/addPlants";
import { adoptPlan } from "@/operations/adoptPlan";
import { archivePlant } from "@/operations/archivePlant";
import { changeSettings } from "@/operations/changeSettings";
import { closeCase } from "@/operations/closeCase";
import { editPlace } from "@/operations/editPlace";
import { editPlant } from "@/operations/editPlant";
import { movePlant } from "@/operations/movePlant";
import { moveSeveral } from "@/operations/moveSeveral";
import { recordAct } from "@/operations/recordAct";
import { recordLook } from "@/operations/recordLook";
import { recordReaction } from "@/operations/recordReaction";
import { setApart } from "@/operations/setApart";
import { startWalk } from "@/operations/startWalk";
import { takeReading } from "@/operations/takeReading";
import { voidFact } from "@/operations/voidFact";
import type { DeedResult } from "@/ui/fields/deedResult";
import { DEMO_ID, loadDemo, removeDemo, resetDemo } from "../../../demo/loadDemo";
import { asked } from "./context";
import { attempt, deed, readForm } from "./deed";

/** One door per deed. Which collection it is for comes with it; whatever comes in is unknown until its schema has read it. */

export const addPlaceAction = async (c: string, input: unknown) => deed(c, deeds.addPlace, addPlace, input);
export const editPlaceAction = async (c: string, input: unknown) => deed(c, deeds.editPlace, editPlace, input);
export const addPlantAction = async (c: string, input: unknown) => deed(c, deeds.addPlant, addPlant, input);
export const addPlantsAction = async (c: string, input: unknown) => deed(c, deeds.addPlants, addPlants, input);
export const startWalkAction = async (c: string, input: unknown) => deed(c, deeds.startWalk, startWalk, input);

/** What follows bears on how cases are judged: jobs do that, and nobody waits for them. */
export const takeReadingAction = async (c: string, input: unknown) =>
  thenJudge(await deed(c, takeReadingShape, takeReading, input));
export const editPlantAction = async (c: string, input: unknown) =>
  thenJudge(await deed(c, deeds.editPlant, editPlant, input));
export const archivePlantAction = async (c: string, input: unknown) =>
  thenJudge(await deed(c, deeds.archivePlant, archivePlant, input));
export const movePlantAction = async (c: string, input: unknown) =>
  thenJudge(await deed(c, movePlantShape, movePlant, input));
export const moveSeveralAction = async (c: string, input: unknown) =>
  thenJudge(await deed(c, deeds.moveSeveral, moveSeveral, input));
export const setApartAction = async (c: string, input: unknown) =>
  thenJudge(await deed(c, setApartShape, setApart, input));
export const recordLookAction = async (c: string, input: unknown) =>
  thenJudge(await deed(c, recordLookShape, recordLook, input));
export const adoptPlanAction = async (c: string, input: unknown) =>
  thenJudge(await deed(c, adoptPlanShape, adoptPlan, input));
export const recordActAction = async (c: string, input: unknown) =>
  thenJudge(await deed(c, recordActShape, recordAct, input));
export const recordReactionAction = async (c: string, input: unknown) =>
  thenJudge(await deed(c, recordReactionShape, recordReaction, input));
export const closeCaseAction = async (c: string, input: unknown) =>
  thenJudge(await deed(c, closeCaseShape, closeCase, input));
export const voidFactAction = async (c: string, input: unknown) =>
  thenJudge(await deed(c, deeds.voidFact, voidFact, input));
export const changeSettingsAction = async (c: string, input: unknown): Promise<DeedResult> => {
  const result = await deed(c, deeds.changeSettings, changeSettings, input);
  if (result.ok) await askFor(databaseUrl(), "derive");
  return thenJudge(result);
};

/** A collection that is being begun belongs to none yet. */
export async function beginCollectionAction(_none: string, input: unknown): Promise<DeedResult> {
  const read = readForm(deeds.beginCollection, input);
  if (!read.ok) return read;
  const { device: actor } = await asked();
  return attempt(() => beginCollection(databaseUrl(), { actor, now: now() }, read.data));
}

/** Ten weeks are written down deed by deed. */
const DEMO_PATIENCE_MS = 120_000;

/** The demo is shown, put back to its first day, or removed with everything in it. */
export async function demoAction(_none: string, input: unknown): Promise<DeedResult> {
  const read = readForm(deeds.aboutDemo, input);
  if (!read.ok) return read;
  const result = await attempt(async () => {
    if (read.data.what === "show") await loadDemo(databaseUrl(), now());
    if (read.data.what === "reset") await resetDemo(databaseUrl(), now());
    if (read.data.what === "remove") await removeDemo(databaseUrl());
    return { ok: true, value: { id: DEMO_ID } };
  }, DEMO_PATIENCE_MS);
  return thenJudge(result);
}

async function thenJudge(result: DeedResult): Promise<DeedResult> {
  if (result.ok) await askFor(databaseUrl(), "judge", "carry");
  return result;
}
