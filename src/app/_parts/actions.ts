"use server";

import * as deeds from "@/core/facts/deeds";
import { databaseUrl } from "@/env";
import { addPlace } from "@/operations/addPlace";
import { addPlant } from "@/operations/addPlant";
import { adoptPlan } from "@/operations/adoptPlan";
import { archivePlant } from "@/operations/archivePlant";
import { changeSettings } from "@/operations/changeSettings";
import { closeCase } from "@/operations/closeCase";
import { editPlace } from "@/operations/editPlace";
import { editPlant } from "@/operations/editPlant";
import { movePlant } from "@/operations/movePlant";
import { askForRebuild } from "@/operations/rebuild";
import { recordLook } from "@/operations/recordLook";
import { recordTreatment } from "@/operations/recordTreatment";
import { setApart } from "@/operations/setApart";
import { startWalk } from "@/operations/startWalk";
import { voidFact } from "@/operations/voidFact";
import type { DeedResult } from "@/ui/fields/deedResult";
import { deed } from "./deed";

/** One door per deed. Whatever comes in is unknown until its schema has read it. */

export const addPlaceAction = async (input: unknown) => deed(deeds.addPlace, addPlace, input);
export const editPlaceAction = async (input: unknown) => thenRebuild(await deed(deeds.editPlace, editPlace, input));
export const addPlantAction = async (input: unknown) => deed(deeds.addPlant, addPlant, input);
export const editPlantAction = async (input: unknown) => deed(deeds.editPlant, editPlant, input);
export const archivePlantAction = async (input: unknown) => deed(deeds.archivePlant, archivePlant, input);
export const movePlantAction = async (input: unknown) => deed(deeds.movePlant, movePlant, input);
export const setApartAction = async (input: unknown) => deed(deeds.setApart, setApart, input);
export const recordLookAction = async (input: unknown) => deed(deeds.recordLook, recordLook, input);
export const startWalkAction = async (input: unknown) => deed(deeds.startWalk, startWalk, input);
export const adoptPlanAction = async (input: unknown) => deed(deeds.adoptPlan, adoptPlan, input);
export const recordTreatmentAction = async (input: unknown) => deed(deeds.recordTreatment, recordTreatment, input);
export const closeCaseAction = async (input: unknown) => deed(deeds.closeCase, closeCase, input);
export const voidFactAction = async (input: unknown) => deed(deeds.voidFact, voidFact, input);
export const changeSettingsAction = async (input: unknown) =>
  thenRebuild(await deed(deeds.changeSettings, changeSettings, input));

/** These may touch more cases than somebody may wait for: a job judges the rest. */
async function thenRebuild(result: DeedResult): Promise<DeedResult> {
  if (result.ok) await askForRebuild(databaseUrl());
  return result;
}
