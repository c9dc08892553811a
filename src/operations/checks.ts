import type { Plant, Case, Place } from "@/core/facts/records";
import type { SpotId } from "@/core/plants/spots";
import { spotsOf } from "@/core/plants/growthForms";
import type { Scope } from "@/db/connection";
import * as cases from "@/db/stores/cases";
import { takeTurn } from "@/db/stores/facts";
import * as placements from "@/db/stores/placements";
import * as places from "@/db/stores/places";
import * as plants from "@/db/stores/plants";
import { instantOf, type Context } from "./context";
import { refuse } from "./outcome";

/** A clock in another room may be a little ahead; beyond this a time is in the future. */
const CLOCK_SLACK_MS = 2 * 60_000;

/** The instant of a wall time that must not lie in the future. */
export function pastInstant(context: Context, localTime: string): Date {
  const at = instantOf(context, localTime);
  if (at.getTime() > context.now.getTime() + CLOCK_SLACK_MS) refuse("at", "in_future");
  // A minute on the wall begins before "now": what is written down this very minute happened now.
  return at > context.now ? context.now : at;
}

const MINUTE_MS = 60_000;

/**
 * The instant at which a plant was placed. Wall times are told to the minute: a placement of the minute in which the last one
 * was made comes after that, and not before it.
 */
export async function placedAt(scope: Scope, plantId: string, at: Date): Promise<Date> {
  const last = (await placements.ofPlants(scope, [plantId])).findLast((p) => p.voidReason === null)?.at;
  return last && last > at && last.getTime() - at.getTime() < MINUTE_MS ? last : at;
}

/** The plant, locked for the rest of the transaction; refuses ids that are unknown or archived. */
export async function lockPlant(scope: Scope, plantId: string): Promise<Plant> {
  const plant = await plants.lock(scope, plantId);
  if (!plant) return refuse("plantId", "unknown");
  if (plant.archived) refuse("plantId", "archived");
  return plant;
}

/** An open case and its plant, locked. */
export async function lockOpenCase(scope: Scope, caseId: string): Promise<{ found: Case; plant: Plant }> {
  const before = await cases.find(scope, caseId);
  if (!before) return refuse("caseId", "unknown");
  const plant = await lockPlant(scope, before.plantId);
  const found = await cases.find(scope, caseId);
  if (!found) return refuse("caseId", "unknown");
  if (!found.open) refuse("caseId", "case_closed");
  return { found, plant };
}

/** Refuses a code that another plant in use bears. Deeds that want the same code go one after the other. */
export async function checkCode(scope: Scope, path: string, code: string, plantId: string): Promise<void> {
  await takeTurn(scope, `${scope.collectionId} ${code.toLowerCase()}`);
  const bearer = await plants.withCode(scope, code);
  if (bearer !== null && bearer !== plantId) refuse(path, "code_taken");
}

export async function knownPlace(scope: Scope, placeId: string): Promise<Place> {
  return (await places.find(scope, placeId)) ?? refuse("placeId", "unknown");
}

/** Refuses spots that the plant's growth form does not have. */
export function checkSpots(plant: Plant, chosen: readonly SpotId[]): void {
  const there = spotsOf(plant.growthForm);
  if (chosen.some((spot) => !there.includes(spot))) refuse("spots", "spot_not_there");
}
