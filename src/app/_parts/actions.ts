"use server";

import { takeReading as takeReadingShape } from "@/core/record/facts/kinds/reading";
import { recordAct as recordActShape } from "@/core/record/facts/kinds/act";
import { closeCase as closeCaseShape } from "@/core/record/facts/kinds/closing";
import { recordLook as recordLookShape } from "@/core/record/facts/kinds/look";
import { movePlant as movePlantShape, setApart as setApartShape } from "@/core/record/facts/kinds/placement";
import { adoptPlan as adoptPlanShape, adoptUnnamed as adoptUnnamedShape } from "@/core/record/facts/kinds/programme";
import { recordReaction as recordReactionShape } from "@/core/record/facts/kinds/reaction";
import { dropBottle as dropBottleShape, keepBottle as keepBottleShape } from "@/core/knowledge/household/bottles";
import { closeFeed as closeFeedShape, openFeed as openFeedShape } from "@/core/access/calendarFeeds";
import { dropSensor as dropSensorShape, keepSensor as keepSensorShape } from "@/core/climate/sensors";
import {
  beginProgramme as beginProgrammeShape,
  endProgramme as endProgrammeShape,
} from "@/core/record/facts/kinds/roomProgramme";
import { countTraps as countTrapsShape } from "@/core/record/facts/kinds/trapCount";
import * as commands from "@/core/record/facts/commands";
import { now } from "@/clock";
import { databaseUrl } from "@/env";
import { askFor } from "@/jobs/ask";
import { may } from "@/core/access/roles";
import { beginCollection, ownCollection } from "@/operations/collections/commands/beginCollection";
import { mayBegin, signed } from "@/operations/access/session";
import { addPlace } from "@/operations/places/commands/addPlace";
import { arrangePlaces } from "@/operations/places/commands/arrangePlaces";
import { addPlant, addPlants } from "@/operations/plants/commands/addPlants";
import { adoptPlan } from "@/operations/cases/commands/adoptPlan";
import { adoptUnnamed } from "@/operations/cases/commands/adoptUnnamed";
import { archivePlant } from "@/operations/plants/commands/archivePlant";
import { beginProgramme } from "@/operations/seasons/commands/beginProgramme";
import { changeSettings } from "@/operations/collections/commands/changeSettings";
import { closeCase } from "@/operations/cases/commands/closeCase";
import { countTraps } from "@/operations/seasons/commands/countTraps";
import { dropBottle } from "@/operations/household/commands/dropBottle";
import { dropSensor } from "@/operations/climate/commands/dropSensor";
import { editPlace } from "@/operations/places/commands/editPlace";
import { editPlant } from "@/operations/plants/commands/editPlant";
import { endProgramme } from "@/operations/seasons/commands/endProgramme";
import { closeFeed, openFeed } from "@/operations/access/calendarFeeds";
import { keepBottle } from "@/operations/household/commands/keepBottle";
import { keepSensor } from "@/operations/climate/commands/keepSensor";
import { movePlant } from "@/operations/plants/commands/movePlant";
import { moveSeveral } from "@/operations/plants/commands/moveSeveral";
import { forgetExperience } from "@/operations/record/commands/forgetExperience";
import { recordAct } from "@/operations/acts/commands/recordAct";
import { recordLook } from "@/operations/looks/commands/recordLook";
import { recordReaction } from "@/operations/plants/commands/recordReaction";
import { setApart } from "@/operations/plants/commands/setApart";
import { startWalk } from "@/operations/walks/commands/startWalk";
import { takeReading } from "@/operations/climate/commands/takeReading";
import { voidFact } from "@/operations/record/commands/voidFact";
import type { CommandResult } from "@/offline/commandResult";
import { DEMO_ID, isDemoThere, loadDemo, removeDemo, resetDemo } from "../../../demo/loadDemo";
import { asked, askerNow, door, openNow } from "./server/context";
import { attempt, runCommand, readForm } from "./server/runCommand";

/** One door per command. Which collection it is for comes with it; whatever comes in is unknown until its schema has read it. */

export const addPlaceAction = async (c: string, input: unknown) =>
  runCommand(c, "addPlace", commands.addPlace, addPlace, input);
export const editPlaceAction = async (c: string, input: unknown) =>
  runCommand(c, "editPlace", commands.editPlace, editPlace, input);
export const arrangePlacesAction = async (c: string, input: unknown) =>
  runCommand(c, "arrangePlaces", commands.arrangePlaces, arrangePlaces, input);
export const startWalkAction = async (c: string, input: unknown) =>
  runCommand(c, "startWalk", commands.startWalk, startWalk, input);

export const countTrapsAction = async (c: string, input: unknown) =>
  runCommand(c, "countTraps", countTrapsShape, countTraps, input);
export const beginProgrammeAction = async (c: string, input: unknown) =>
  runCommand(c, "beginProgramme", beginProgrammeShape, beginProgramme, input);
export const endProgrammeAction = async (c: string, input: unknown) =>
  runCommand(c, "endProgramme", endProgrammeShape, endProgramme, input);
export const keepSensorAction = async (c: string, input: unknown) => {
  const kept = await runCommand(c, "keepSensor", keepSensorShape, keepSensor, input);
  // It is asked at once: whoever has typed an address wrong sees it soon.
  if (kept.ok) await askFor(databaseUrl(), c, "sense");
  return kept;
};
export const dropSensorAction = async (c: string, input: unknown) =>
  runCommand(c, "dropSensor", dropSensorShape, dropSensor, input);
export const openFeedAction = async (c: string, input: unknown) =>
  runCommand(c, "openFeed", openFeedShape, openFeed, input);
export const closeFeedAction = async (c: string, input: unknown) =>
  runCommand(c, "closeFeed", closeFeedShape, closeFeed, input);

/** What follows bears on how cases are judged: jobs do that, and nobody waits for them. */
export const addPlantAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "addPlant", commands.addPlant, addPlant, input));
export const addPlantsAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "addPlants", commands.addPlants, addPlants, input));
export const takeReadingAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "takeReading", takeReadingShape, takeReading, input));
export const editPlantAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "editPlant", commands.editPlant, editPlant, input));
export const archivePlantAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "archivePlant", commands.archivePlant, archivePlant, input));
export const movePlantAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "movePlant", movePlantShape, movePlant, input));
export const moveSeveralAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "moveSeveral", commands.moveSeveral, moveSeveral, input));
export const setApartAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "setApart", setApartShape, setApart, input));
export const recordLookAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "recordLook", recordLookShape, recordLook, input));
export const adoptPlanAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "adoptPlan", adoptPlanShape, adoptPlan, input));
export const adoptUnnamedAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "adoptUnnamed", adoptUnnamedShape, adoptUnnamed, input));
export const recordActAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "recordAct", recordActShape, recordAct, input));
export const recordReactionAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "recordReaction", recordReactionShape, recordReaction, input));
export const closeCaseAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "closeCase", closeCaseShape, closeCase, input));
export const voidFactAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "voidFact", commands.voidFact, voidFact, input));
export const changeSettingsAction = async (c: string, input: unknown): Promise<CommandResult> => {
  const result = await runCommand(c, "changeSettings", commands.changeSettings, changeSettings, input);
  if (result.ok) await askFor(databaseUrl(), c, "derive");
  return thenJudge(c, result);
};

export const forgetExperienceAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "forgetExperience", commands.forgetExperience, forgetExperience, input));

export const keepBottleAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "keepBottle", keepBottleShape, keepBottle, input));
export const dropBottleAction = async (c: string, input: unknown) =>
  thenJudge(c, await runCommand(c, "dropBottle", dropBottleShape, dropBottle, input));

/** A collection that is being begun belongs to none yet. */
export async function beginCollectionAction(_none: string, input: unknown): Promise<CommandResult> {
  const read = readForm(commands.beginCollection, input);
  if (!read.ok) return read;
  const asker = await askerNow();
  const actor = asker ? signed(asker) : (await asked()).device;
  const who = { actor, now: now(), accountId: asker?.accountId ?? null };
  return attempt(async () =>
    (await mayBegin(databaseUrl(), await door(), now())) ? beginCollection(databaseUrl(), who, read.data) : notAllowed,
  );
}

const notAllowed = { ok: false, problems: [{ path: "", code: "not_allowed" }] } as const;

/** Ten weeks are written down command by command. */
const DEMO_PATIENCE_MS = 120_000;

/** The demo is shown, put back to its first day, or removed with everything in it. */
export async function demoAction(_none: string, input: unknown): Promise<CommandResult> {
  const read = readForm(commands.aboutDemo, input);
  if (!read.ok) return read;
  const asker = await askerNow();
  const result = await attempt(async () => {
    const demo = (await openNow()).find(({ collection }) => collection.id === DEMO_ID);
    // Whoever shows it owns it; one that is there already is its owners' alone, whoever cannot see it.
    const there = demo !== undefined || (await isDemoThere(databaseUrl()));
    const allowed = there
      ? demo !== undefined && may(demo.role, "own")
      : await mayBegin(databaseUrl(), await door(), now());
    if (!allowed) return notAllowed;
    if (read.data.what === "show") await loadDemo(databaseUrl(), now());
    if (read.data.what === "reset") await resetDemo(databaseUrl(), now());
    if (asker && read.data.what !== "remove") await ownCollection(databaseUrl(), DEMO_ID, asker.accountId);
    if (read.data.what === "remove") await removeDemo(databaseUrl());
    return { ok: true, value: { id: DEMO_ID } };
  }, DEMO_PATIENCE_MS);
  return thenJudge(DEMO_ID, result);
}

async function thenJudge(collectionId: string, result: CommandResult): Promise<CommandResult> {
  if (result.ok) await askFor(databaseUrl(), collectionId, "judge", "carry", "carryRest");
  return result;
}
