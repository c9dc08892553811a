import { addDays, type Day } from "@/core/shared/days";
import { caseNamed, type Case } from "@/core/record/cases/cases";
import { LONG_AGO_DAYS } from "@/core/record/cases/outsideModel";
import type { Place, Plant } from "@/core/record/facts/descriptions";
import type { Sensitivity } from "@/core/knowledge/plants/sensitivities";
import { spotsOf } from "@/core/knowledge/plants/growthForms";
import type { SpotId } from "@/core/knowledge/plants/spots";
import * as cases from "@/db/stores/cases/cases";
import { advisoryLock } from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import * as plants from "@/db/stores/plants/plants";
import type { Scope } from "@/db/connection";
import { dayOf, today, type Context } from "./context";
import { refuse } from "./outcome";
import { recordsOf, type KeptRecord } from "../plants/plantRecords";

/** A clock in another room may be a little ahead; beyond this a time is in the future. */
const CLOCK_SLACK_MS = 2 * 60_000;
const MINUTE_MS = 60_000;

/** A moment that must not lie in the future, to the minute: what is written down this very minute happened now. */
export function pastMoment(context: Context, at: Date): Date {
  if (at.getTime() > context.now.getTime() + CLOCK_SLACK_MS) refuse("at", "in_future");
  const moment = Math.min(at.getTime(), context.now.getTime());
  return new Date(Math.floor(moment / MINUTE_MS) * MINUTE_MS);
}

/** What is written down later may be told of with what came to be known meanwhile. */
const TOLD_WITHIN_MS = 3_600_000;

/** Whether something is written down as it happens, so that what was told of it before can be held against it. */
export function isJustNow(context: Context, at: Date): boolean {
  return context.now.getTime() - at.getTime() <= TOLD_WITHIN_MS && dayOf(context, at) === today(context);
}

/**
 * A moment at which something was done to a plant. One before the plant came is refused; one of years ago is asked about, since a
 * mistyped year is likelier. `really` says that it was so.
 */
export function momentOn(context: Context, plant: Plant, at: Date, really: boolean | undefined): Date {
  const moment = pastMoment(context, at);
  const day = dayOf(context, moment);
  if (plant.acquiredOn !== null && day < plant.acquiredOn) refuse("at", "before_it_came", { day: plant.acquiredOn });
  if (day < addDays(today(context), -LONG_AGO_DAYS) && !really) refuse("at", "so_long_ago", { day });
  return moment;
}

/** No plan reaches further ahead than this, days. */
const HORIZON_DAYS = 731;

/** Refuses a day that lies further ahead, or further back, than any plan does. */
export function checkHorizon(context: Context, path: string, day: Day): void {
  const now = today(context);
  if (day > addDays(now, HORIZON_DAYS)) refuse(path, "too_far_ahead", { day });
  if (day < addDays(now, -LONG_AGO_DAYS)) refuse(path, "so_long_ago", { day });
}

/** The plant, locked for the rest of the transaction; refuses ids that are unknown or archived. */
export async function lockPlant(scope: Scope, plantId: string): Promise<Plant> {
  const plant = await plants.lock(scope, plantId);
  if (!plant) return refuse("plantId", "unknown");
  if (plant.archivedAt) refuse("plantId", "archived");
  return plant;
}

/** An open case and the record of its plant, locked. */
export async function lockOpenCase(scope: Scope, caseId: string): Promise<{ found: Case; record: KeptRecord }> {
  const plantId = await cases.plantOf(scope, caseId);
  if (!plantId) return refuse("caseId", "unknown");
  await lockPlant(scope, plantId);
  const record = (await recordsOf(scope, [plantId])).records[0];
  const found = record && caseNamed(record.cases, caseId);
  if (!record || !found) return refuse("caseId", "unknown");
  if (!found.open) refuse("caseId", "case_closed");
  return { found, record };
}

/** Refuses a code that another plant in use bears. Commands that want the same code go one after the other. */
export async function checkCode(scope: Scope, path: string, code: string, plantId: string): Promise<void> {
  await advisoryLock(scope, `${scope.collectionId} ${code.toLowerCase()}`);
  const bearers = await plants.withCodes(scope, [code]);
  if (bearers.some(({ id }) => id !== plantId)) refuse(path, "code_taken");
}

export async function knownPlace(scope: Scope, placeId: string, path = "placeId"): Promise<Place> {
  return (await places.find(scope, placeId)) ?? refuse(path, "unknown");
}

/** Refuses spots that the plant's growth form does not have. */
export function checkSpots(plant: Plant, path: string, chosen: readonly SpotId[]): void {
  const there = spotsOf(plant.growthForm);
  if (chosen.some((spot) => !there.includes(spot))) refuse(path, "spot_not_there");
}

/** What a keeper has added to a plant's kind and taken from it: what is taken from it is not added. */
export function careOf(added: readonly Sensitivity[], without: readonly Sensitivity[]) {
  return { careAdded: added.filter((one) => !without.includes(one)), careWithout: [...without] };
}
