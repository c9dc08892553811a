import type { Plant, Place } from "@/core/record/facts/descriptions";
import { idIn } from "@/core/shared/fields";
import { placesInRecord } from "@/core/record/cases/record";
import { USUAL_C } from "@/core/advice/diagnosis/priors";
import type { PestId } from "@/core/knowledge/pests/pests";
import { apartPlaces, awayFromIsland, type ApartPlace, type Leaves } from "@/core/advice/isolation/apartPlaces";
import { plantsThatCatch } from "@/core/advice/isolation/reintroduction";
import type { PlantCarries } from "@/core/advice/spread/carries";
import { placeTree } from "@/core/advice/spread/places";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import * as assessments from "@/db/stores/cases/assessments";
import * as cases from "@/db/stores/cases/cases";
import * as carriage from "@/db/stores/plants/carriage";
import * as plantStates from "@/db/stores/plants/plantStates";
import { scopeOf, today, type Context } from "../../shared/context";
import { occupantsOf, warmPlaces } from "../../places/placesAsTheyStand";
import { keptJudgement } from "../../cases/judgements";
import { cardOf } from "../plantCard";
import { neighboursAt } from "../neighbours";
import { readPlant, type PlantView } from "./readPlant";

/** Setting a plant apart: where to, or who else moves where it cannot. */
export interface ApartView extends Pick<PlantView, "plant" | "place" | "places" | "card" | "before"> {
  /** The isolation places, the best first. */
  readonly proposed: readonly (ApartPlace & { readonly name: string })[];
  /** Where the others go if it stays as an island, and what they are called. */
  readonly island: readonly (Leaves & { readonly card: PlantCard; readonly placeName: string | null })[];
}

/** Where a plant may be set apart, and who moves where it is too big to; null when there is no such plant. */
export async function readApart(context: Context, asked: string): Promise<ApartView | null> {
  const view = await readPlant(context, asked);
  if (!view) return null;
  const { plant, place, places, card, before } = view;
  const listed = await plantStates.list(scopeOf(context, "read"));
  const occupants = occupantsOf(listed);
  const day = today(context);
  const own = { plantId: plant.id, inCase: view.open.length > 0 };
  const name = new Map(places.map((one) => [one.id, one.name]));
  const rows = new Map(listed.map((row) => [row.id, row]));
  const beside = occupants.filter((one) => one.placeId === place.id && one.plantId !== plant.id && !one.inCase);
  const { roomOf } = placeTree(places);
  const leaving = beside.map(({ plantId }) => plantId);
  return {
    ...{ plant, place, places, card, before },
    proposed: apartPlaces(places, occupants, own).map((one) => ({ ...one, name: name.get(one.placeId) ?? "" })),
    island: awayFromIsland(places, occupants, place.id, leaving, roomOf).map((one) => ({
      ...one,
      card: cardOf(rows.get(one.plantId)!, day),
      placeName: one.placeId && (name.get(one.placeId) ?? null),
    })),
  };
}

/** Moving a plant: where to, and what it risks where it may carry something. */
export interface MoveView {
  readonly plant: Plant;
  readonly place: Place;
  readonly card: PlantCard;
  readonly carries: PlantCarries | null;
  readonly openCases: number;
  /** Where it may go; for each how many plants stand there, and how many of them would catch something within a month. */
  readonly targets: readonly {
    readonly id: string;
    readonly name: string;
    readonly plants: number;
    readonly wouldCatch: number;
    /** What is found there and not clear yet: a plant with each of its pests. */
    readonly finds: readonly { readonly code: string; readonly pest: PestId }[];
  }[];
  /** Where it stood before it was set apart. */
  readonly before: string | null;
  readonly back: boolean;
}

/** Days within which what a plant brings along is counted: before it would be noticed. */
const MONTH_DAYS = 30;

/** Where a plant may be moved to and what that risks; null when there is no such plant. */
export async function readMove(context: Context, asked: string): Promise<MoveView | null> {
  const id = idIn(asked);
  const view = id && (await readPlant(context, id));
  if (!view) return null;
  const scope = scopeOf(context, "read");
  const { plant, place, card, before } = view;
  const carried = (await carriage.of(scope, [plant.id]))[0]?.result ?? null;
  const listed = await plantStates.list(scope);
  const found = await cases.open(scope);
  const occupants = occupantsOf(listed);
  const all = await warmPlaces(scope, today(context));
  const tree = placeTree(all);
  const { apartAt } = placesInRecord(all);
  // An open case carries what is left of it; while that is not known, for certain.
  const caseIds = view.open.map(({ found }) => found.id);
  const judged = new Map((await assessments.ofCases(scope, caseIds)).map((row) => [row.caseId, keptJudgement(row)]));
  const open = view.open.map(({ found }) => {
    const known = judged.get(found.id);
    return { pest: found.pest, p: known?.ok ? 1 - known.judgement.assessment.pClear : 1 };
  });
  const pests = [...(carried?.pests ?? []), ...open];
  const targets = all
    .filter(({ id: other }) => !apartAt(other) && other !== place.id)
    .map(({ id: other, name, meanC }) => {
      const near = neighboursAt(other, plant.id, occupants, tree);
      const wouldCatch = plantsThatCatch(pests, plant.growthForm, near, meanC ?? USUAL_C, MONTH_DAYS);
      const there = new Map(listed.flatMap((row) => (row.placeId === other ? [[row.id, row.code] as const] : [])));
      const finds = found.flatMap(({ plantId, pest }) => {
        const code = plantId === plant.id ? undefined : there.get(plantId);
        return code === undefined ? [] : [{ code, pest }];
      });
      return { id: other, name, plants: near.touching + near.place, wouldCatch, finds };
    });
  const back = card.apart;
  return {
    ...{ plant, place, card, targets, back },
    carries: carried,
    openCases: view.open.length,
    before: before?.id ?? null,
  };
}
