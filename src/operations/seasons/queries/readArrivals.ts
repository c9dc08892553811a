import { byCode } from "@/core/knowledge/plants/codes";
import { arrivalSteps, type ArrivalSteps } from "@/core/advice/arrivals/steps";
import { isArriving } from "@/core/schedule/programmes/arrival";
import type { PlantCarries } from "@/core/advice/spread/carries";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import * as carriage from "@/db/stores/plants/carriage";
import * as plantStates from "@/db/stores/plants/plantStates";
import { dayOf, scopeOf, today, type Context } from "../../shared/context";
import { cardOf } from "../../plants/plantCard";
import { recordsOf } from "../../plants/plantRecords";

export interface ArrivalLine {
  readonly card: PlantCard;
  readonly seller: string;
  readonly placeName: string;
  readonly steps: ArrivalSteps;
  readonly carries: PlantCarries | null;
}

/** So many arrivals are shown; a nursery's delivery is walked, not read. */
const SHOWN = 100;

/** The plants that have come and not joined the others yet, by seller, those that still need something first. */
export async function readArrivals(context: Context): Promise<readonly ArrivalLine[]> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const listed = (await plantStates.inState(scope, "new")).slice(0, SHOWN);
  const ids = listed.map(({ id }) => id);
  const { records, places } = await recordsOf(scope, ids);
  const carried = new Map((await carriage.of(scope, ids)).map((row) => [row.plantId, row.result]));
  const names = new Map(places.map(({ id, name }) => [id, name]));
  const lines = records.filter(isArriving).map((record): ArrivalLine => {
    const card = cardOf(record.listed, day);
    return {
      card,
      seller: record.plant.seller,
      placeName: names.get(card.placeId) ?? "",
      steps: arrivalSteps({ ...record, dayOf: (at) => dayOf(context, at) }),
      carries: carried.get(record.plant.id) ?? null,
    };
  });
  const rank = ({ steps }: ArrivalLine) => (steps.inspectedOn === null ? 0 : steps.washedOn === null ? 1 : 2);
  return lines.toSorted(
    (a, b) => a.seller.localeCompare(b.seller) || rank(a) - rank(b) || byCode(a.card.code, b.card.code),
  );
}
