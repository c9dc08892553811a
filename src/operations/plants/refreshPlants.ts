import { casesOf } from "@/core/record/cases/cases";
import { exposuresOf, type Exposure, type Source } from "@/core/record/cases/exposures";
import { placesInRecord, recordOf, type PlacesInRecord, type PlantRecord } from "@/core/record/cases/record";
import { staysOf } from "@/core/record/cases/stays";
import { petalsFor } from "@/core/model/clearance/petals";
import { byMoment, standing, type Placement } from "@/core/record/facts/facts";
import type { Plant } from "@/core/record/facts/descriptions";
import { groupBy } from "@/core/shared/groupBy";
import { derivePlantState } from "@/core/schedule/state/plantState";
import type { Scope } from "@/db/connection";
import * as assessments from "@/db/stores/cases/assessments";
import * as carriage from "@/db/stores/plants/carriage";
import * as cases from "@/db/stores/cases/cases";
import * as collections from "@/db/stores/collections";
import * as exposures from "@/db/stores/cases/exposures";
import * as facts from "@/db/stores/record/facts";
import * as looks from "@/db/stores/looks/looks";
import * as placements from "@/db/stores/plants/placements";
import * as places from "@/db/stores/places/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import * as plants from "@/db/stores/plants/plants";
import { dayOf, today, type Context } from "../shared/context";
import { keptJudgement } from "../cases/judgements";
import { byPlant } from "./plantRecords";
import { riskOf } from "./risk";

/** Plants whose facts have changed; for those in `beside`, what stood near them is to be looked at again too. */
export interface Touched {
  readonly alone: Set<string>;
  readonly beside: Set<string>;
  /** Set where what every plant may carry is to be reckoned anew. */
  everything?: boolean;
}

/** How many plants are derived from one set of queries; keeps the deriving of everything within memory. */
const BATCH = 200;

/**
 * Derives what follows from the facts of the plants a command has touched, and keeps it: their cases, what they have stood
 * beside, how they stand. Must run in the command's transaction. Finds on one shelf touch each other's plants, so that deriving
 * goes one after the other and always sees what the one before wrote.
 */
export async function refreshPlants(
  context: Context,
  scope: Scope,
  { alone, beside, everything = false }: Touched,
): Promise<void> {
  const touched = [...new Set([...alone, ...beside])];
  if (touched.length === 0) return everything ? carriage.wantAll(scope) : undefined;
  await collections.hold(scope);
  const inCase = await refreshCases(scope, touched);
  const companions = beside.size > 0 ? await besideCasesOf(scope, [...beside]) : [];
  const all = [...new Set([...touched, ...companions])];
  await carriage.want(scope, all);
  // A case bears on plants far off: their turn comes after those that were touched.
  if (everything || inCase > 0) await carriage.wantAll(scope);
  await refreshStates(context, scope, all);
}

/** Derives the cases of plants alone; see {@link refreshPlants}. Gives how many of them are, or were, in a case. */
export async function refreshCases(scope: Scope, touched: readonly string[]): Promise<number> {
  await facts.advisoryLock(scope, `${scope.collectionId} states`);
  const before = await cases.everIn(scope, touched);
  let ever = 0;
  for (let i = 0; i < touched.length; i += BATCH) {
    const batch = touched.slice(i, i + BATCH);
    const finds = await looks.withFinds(scope, batch);
    const inCase = batch.filter((id) => before.has(id) || finds.has(id));
    ever += inCase.length;
    if (inCase.length === 0) continue;
    const looksOf = byPlant(await facts.of(scope, "look", "plantId", inCase));
    const closingsOf = byPlant(await facts.of(scope, "closing", "plantId", inCase));
    const derived = inCase.flatMap((id) => casesOf(looksOf(id), closingsOf(id)));
    await cases.replace(scope, inCase, derived);
  }
  return ever;
}

/** Plants that stand, or stood, beside the cases of others: as these are now, and as was known before. */
async function besideCasesOf(scope: Scope, plantIds: readonly string[]): Promise<string[]> {
  return [...(await placements.companionsOf(scope, plantIds)), ...(await exposures.exposedBy(scope, plantIds))];
}

/** Derives how plants stand, whose cases and whose neighbours' cases are derived already; see {@link refreshPlants}. */
export function refreshStates(context: Context, scope: Scope, plantIds: readonly string[]): Promise<void> {
  return deriveInBatches(context, scope, plantIds, plantStates.put);
}

/** Derives how plants stand anew although their facts are as they were: what they may carry has been reckoned. */
export function refreshState(context: Context, scope: Scope, plantIds: readonly string[]): Promise<void> {
  return deriveInBatches(context, scope, plantIds, plantStates.refreshState);
}

type Keep = typeof plantStates.put;

async function deriveInBatches(asked: Context, scope: Scope, plantIds: readonly string[], keep: Keep): Promise<void> {
  // By the settings that hold when it is kept: whoever asked may have read older ones.
  const collection = await collections.hold(scope);
  // It has been removed meanwhile, and its plants with it.
  if (!collection) return;
  const context = { ...asked, collection };
  await facts.advisoryLock(scope, `${scope.collectionId} states`);
  const around = placesInRecord(await places.all(scope));
  for (let i = 0; i < plantIds.length; i += BATCH)
    await deriveStates(context, scope, plantIds.slice(i, i + BATCH), around, keep);
}

async function deriveStates(
  context: Context,
  scope: Scope,
  plantIds: readonly string[],
  around: PlacesInRecord,
  keep: Keep,
): Promise<void> {
  const described = await plants.many(scope, plantIds);
  const stood = await facts.of(scope, "placement", "plantId", plantIds);
  const inCase = await cases.everIn(scope, plantIds);
  const records = [
    ...(await fullRecords(
      scope,
      described.filter(({ id }) => inCase.has(id)),
      stood,
      around,
    )),
    ...(await lightRecords(
      scope,
      described.filter(({ id }) => !inCase.has(id)),
      stood,
      around,
    )),
  ];
  const sources = await sourcesBeside(scope, plantIds);
  const beside = records.map(({ plant, stays }) => exposuresOf(plant.id, stays, sources));
  await exposures.replace(
    scope,
    plantIds,
    records.flatMap(({ plant }, i) => beside[i]!.map((exposure) => ({ ...exposure, plantId: plant.id }))),
  );

  const open = records.flatMap((record) => record.cases.filter((one) => one.open).map((one) => one.id));
  const kept = new Map((await assessments.ofCases(scope, open)).map((row) => [row.caseId, row]));
  const petalsOf = (caseId: string) => {
    const judged = keptJudgement(kept.get(caseId));
    return petalsFor(judged?.ok ? judged.judgement.assessment.pClear : 0);
  };
  const day = today(context);
  const dated = (exposure: Exposure) => ({ ...exposure, day: dayOf(context, exposure.since) });
  const risks = new Map((await carriage.risks(scope, plantIds)).map((one) => [one.plantId, one]));
  await keep(
    scope,
    records.flatMap((record, i) => {
      const now = standing(record.placements).at(-1);
      if (!now) return [];
      const facts = {
        record: { ...record, exposures: beside[i]!.map(dated) },
        lookEveryDays: context.collection.lookEveryDays,
        risk: riskOf(context.collection, risks.get(record.plant.id)),
        petalsOf,
      };
      const { placeId, slot } = now;
      return [
        { ...derivePlantState(facts, day), plantId: record.plant.id, placeId, slot, apart: around.apartAt(placeId) },
      ];
    }),
  );
  await plantStates.markDerived(scope, plantIds);
}

type Derived = Omit<PlantRecord, "exposures">;

/** Plants that are, or were, in a case: all their facts count. */
async function fullRecords(
  scope: Scope,
  described: readonly Plant[],
  stood: readonly Placement[],
  around: PlacesInRecord,
): Promise<Derived[]> {
  const ids = described.map(({ id }) => id);
  const placementsOf = byPlant(stood);
  const looksOf = byPlant(await facts.of(scope, "look", "plantId", ids));
  const actsOf = byPlant(await facts.of(scope, "act", "plantId", ids));
  const closingsOf = byPlant(await facts.of(scope, "closing", "plantId", ids));
  const programmesOf = byPlant(await facts.of(scope, "programme", "plantId", ids));
  return described.map((plant) =>
    recordOf(
      {
        plant,
        placements: placementsOf(plant.id),
        looks: looksOf(plant.id),
        acts: actsOf(plant.id).toSorted(byMoment),
        closings: closingsOf(plant.id),
        programmes: programmesOf(plant.id),
        reactions: [],
      },
      around,
    ),
  );
}

/** Plants that never were in a case: of their looks only the days count. */
async function lightRecords(
  scope: Scope,
  described: readonly Plant[],
  stood: readonly Placement[],
  around: PlacesInRecord,
): Promise<Derived[]> {
  const looked = await looks.daysOf(
    scope,
    described.map(({ id }) => id),
  );
  const daysOf = groupBy(looked, (look) => look.plantId);
  const stoodBy = groupBy(stood, (placement) => placement.plantId);
  const none = { looks: [], acts: [], closings: [], programmes: [], reactions: [] };
  return described.map((plant) => ({
    ...recordOf({ plant, placements: stoodBy.get(plant.id) ?? [], ...none }, around),
    looked: daysOf.get(plant.id) ?? [],
  }));
}

/** The cases that have stood where these plants have. */
async function sourcesBeside(scope: Scope, plantIds: readonly string[]): Promise<Source[]> {
  const ids = await cases.besides(scope, plantIds);
  if (ids.length === 0) return [];
  const found = await cases.asSources(scope, ids);
  const stood = groupBy(await facts.of(scope, "placement", "plantId", ids), (placement) => placement.plantId);
  return found.map(({ archivedAt, ...source }) => ({
    ...source,
    stays: staysOf(stood.get(source.plantId) ?? [], archivedAt),
  }));
}
