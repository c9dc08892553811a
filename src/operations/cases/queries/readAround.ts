import type { Case } from "@/core/record/cases/cases";
import type { Day } from "@/core/shared/days";
import type { Plant } from "@/core/record/facts/descriptions";
import { idIn } from "@/core/shared/fields";
import { originOf, whoFirst, type AroundLine, type Origin } from "@/core/advice/spread/around";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import { minutesToLook, waysWith } from "@/core/advice/tonight/tonight";
import { inParallel } from "@/db/query";
import * as arounds from "@/db/stores/plants/around";
import * as carriage from "@/db/stores/plants/carriage";
import * as caseNumbers from "@/db/stores/cases/caseNumbers";
import * as plants from "@/db/stores/plants/plants";
import * as plantStates from "@/db/stores/plants/plantStates";
import { scopeOf, today, type Context } from "../../shared/context";
import { caseOnRecord } from "../caseOnRecord";
import { cardOf } from "../../plants/plantCard";

export interface AroundView {
  readonly found: Case;
  readonly plant: Plant;
  readonly card: PlantCard;
  readonly day: Day;
  /** Who is looked at first, each with what a usual look takes. */
  readonly first: readonly (AroundLine & { readonly card: PlantCard; readonly minutes: number })[];
  /** Where it probably came from; null while that has not been reckoned. */
  readonly origin: Origin | null;
  /** Whether every line speaks of the facts as they are. */
  readonly current: boolean;
}

/** So many plants are gone through, and shown. */
const MOST = 200;
const SHOWN = 60;
/** Who is less likely to carry it than this is not worth a walk of its own. */
const LEAST = 0.003;

/** What a find bears on: who to look at first and why, and where it came from; null when there is no such case. */
export async function readAround(context: Context, asked: string): Promise<AroundView | null> {
  const id = idIn(asked);
  if (!id) return null;
  const scope = scopeOf(context, "read");
  const day = today(context);
  const onRecord = await caseOnRecord(scope, id);
  if (!onRecord) return null;
  const { found, record } = onRecord;
  const near = await arounds.ofSource(scope, record.plant.id, found.pest, MOST);
  const lines = whoFirst(found.pest, record.plant.id, near, LEAST).slice(0, SHOWN);
  const ids = lines.map(({ plantId }) => plantId);
  const [listed, known, routes, soon] = await inParallel(
    scope,
    () => plantStates.of(scope, ids),
    () => plants.many(scope, ids),
    () => caseNumbers.keptOrigin(scope, found.id),
    () => carriage.somethingSoon(scope),
  );
  const cards = new Map(listed.map((row) => [row.id, cardOf(row, day)]));
  const described = new Map(known.map((plant) => [plant.id, plant]));
  const usual = waysWith(context.collection.owns)[0]!;
  const first = lines.flatMap((line) => {
    const [card, plant] = [cards.get(line.plantId), described.get(line.plantId)];
    if (!card || !plant || card.state === "infested" || card.state === "surer") return [];
    return [{ ...line, card, minutes: minutesToLook(usual, plant.potCm) }];
  });
  return {
    found,
    plant: record.plant,
    card: cardOf(record.listed, day),
    day,
    first,
    origin: routes && originOf(routes),
    current: !soon,
  };
}
