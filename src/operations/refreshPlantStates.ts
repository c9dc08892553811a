import { petalsFor } from "@/core/clearance/petals";
import type { CaseRecord } from "@/core/clearance/rule";
import type { Day } from "@/core/climate/days";
import type { Case, Look, Treatment } from "@/core/facts/records";
import { isApart } from "@/core/facts/records";
import { animalsIn } from "@/core/inspection/severity";
import { derivePlantState } from "@/core/state/plantState";
import type { Scope } from "@/db/connection";
import * as cases from "@/db/stores/cases";
import { takeTurn } from "@/db/stores/facts";
import * as looks from "@/db/stores/looks";
import * as placements from "@/db/stores/placements";
import * as places from "@/db/stores/places";
import * as plantStates from "@/db/stores/plantStates";
import * as plants from "@/db/stores/plants";
import * as treatments from "@/db/stores/treatments";
import { today, type Context } from "./context";
import { judgeCases, whileWaiting, type Budget } from "./judgeCases";

/** The record of a case as core judges it: looks and treatments that stand, since shortly before it opened. */
export function caseRecord(
  found: Case,
  allLooks: readonly Look[],
  allTreatments: readonly Treatment[],
  meanC: number,
): CaseRecord {
  const standing = allLooks.filter((look) => look.voidReason === null && look.at >= found.openedAt);
  return {
    pest: found.pest,
    meanC,
    looks: standing.map((look) => {
      const find = look.finds.find((f) => f.pest === found.pest);
      return { at: look.at.getTime(), day: look.day, live: find ? animalsIn(find) : 0 };
    }),
    treatments: allTreatments
      .filter((t) => t.caseId === found.id && t.voidReason === null)
      .map((t) => ({ at: t.at.getTime(), day: t.day })),
  };
}

/** A day before all others: what was derived on it is to be derived anew. */
const STALE = "2000-01-01";

function liveAtLastLook(found: Case, plantLooks: readonly Look[]): boolean {
  const last = plantLooks.findLast((look) => look.voidReason === null && look.at >= found.openedAt);
  return last?.finds.some((find) => find.pest === found.pest) ?? false;
}

const ofPlant = <T extends { plantId: string }>(all: readonly T[], plantId: string) =>
  all.filter((one) => one.plantId === plantId);

/** How many plants are derived from one set of queries; keeps a rebuild of everything within memory. */
const BATCH = 200;

/**
 * Derives the states of these plants anew from their facts and keeps them. Must run in a transaction: finds on one shelf
 * touch each other's plants, so that deriving goes one after the other and always sees what the one before wrote.
 */
export async function refreshPlantStates(
  context: Context,
  scope: Scope,
  plantIds: readonly string[],
  budget: Budget = whileWaiting(),
): Promise<void> {
  const wanted = [...new Set(plantIds)];
  if (wanted.length > 0) await takeTurn(scope, `${scope.collectionId} states`);
  for (let i = 0; i < wanted.length; i += BATCH) await refreshBatch(context, scope, wanted.slice(i, i + BATCH), budget);
}

async function refreshBatch(
  context: Context,
  scope: Scope,
  plantIds: readonly string[],
  budget: Budget,
): Promise<void> {
  const day = today(context);
  const described = await plants.many(scope, plantIds);
  const stood = await placements.ofPlants(scope, plantIds);
  const looked = await looks.ofPlants(scope, plantIds);
  const inCases = await cases.ofPlants(scope, plantIds);
  const exposed = await cases.exposures(scope, plantIds);
  const treated = await treatments.ofCases(
    scope,
    inCases.filter((c) => c.open).map((c) => c.id),
  );
  const open = described.flatMap((plant) =>
    ofPlant(inCases, plant.id)
      .filter((c) => c.open)
      .map((found) => ({
        found,
        plant,
        looks: ofPlant(looked, plant.id),
        treatments: treated,
        placements: ofPlant(stood, plant.id),
      })),
  );
  const judged = await judgeCases(
    context,
    scope,
    open,
    open.length > 0 ? await places.temperatures(scope) : [],
    budget,
  );

  const states = described.flatMap((plant) => {
    const standing = ofPlant(stood, plant.id).filter((p) => p.voidReason === null);
    const now = standing.at(-1);
    if (!now) return [];
    const plantLooks = ofPlant(looked, plant.id);
    const openCases = ofPlant(inCases, plant.id).filter((c) => c.open);
    const derived = derivePlantState(
      {
        addedOn: plant.addedOn,
        looks: plantLooks
          .filter((l) => l.voidReason === null)
          .map((l) => ({ day: l.day, clean: l.finds.length === 0 })),
        exposures: ofPlant(exposed, plant.id).map((e) => ({ since: e.day as Day })),
        openCases: openCases.map((found) => ({
          live: liveAtLastLook(found, plantLooks),
          petals: petalsFor(judged.kept.get(found.id)?.judgement.assessment.pClear ?? 0),
        })),
        apart: isApart(now.placeKind),
        neverJoined: standing.every((p) => isApart(p.placeKind)),
      },
      context.collection.lookEveryDays,
    );
    const derivedOn = openCases.some((c) => judged.pending.has(c.id)) ? STALE : day;
    return [{ ...derived, plantId: plant.id, placeId: now.placeId, apart: isApart(now.placeKind), derivedOn }];
  });
  await plantStates.put(scope, states);
}
