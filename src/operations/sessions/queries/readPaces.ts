import { temperaturesBy } from "@/core/record/cases/warmth";
import { dailyMeans } from "@/core/climate/dailyMeans";
import { addDays, type Day } from "@/core/shared/days";
import { meanOf } from "@/core/shared/mean";
import { pestIds, type PestId } from "@/core/knowledge/pests/pests";
import { developmentRateAt } from "@/core/advice/seasons/developmentRate";
import { inParallel } from "@/db/query";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import { scopeOf, today, type Context } from "../../shared/context";
import { measuredAt, measuredLately } from "../../climate/measured";

const LATELY_DAYS = 14;

export interface PacesView {
  readonly day: Day;
  readonly pests: readonly PestId[];
  readonly places: readonly {
    readonly id: string;
    readonly name: string;
    readonly meanC: number;
    /** Mean deficit of the last two weeks, where it was measured. */
    readonly deficitKpa: number | null;
    /** Doubling in days, in the order of `pests`; null where a pest does not grow. */
    readonly doubling: readonly (number | null)[];
    /** How many plants stand there. */
    readonly plants: number;
  }[];
}

/** How fast each pest goes at each place: where the trouble will be. */
export async function readPaces(context: Context): Promise<PacesView> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const [all, readings, measured, counts] = await inParallel(
    scope,
    () => places.all(scope),
    () => facts.all(scope, "reading"),
    () => measuredLately(scope),
    () => plantStates.countByPlace(scope),
  );
  const temperaturesOf = temperaturesBy(all, readings, measured);
  const from = addDays(day, -LATELY_DAYS + 1);
  return {
    day,
    pests: pestIds,
    places: all.flatMap(({ id, name, kind }) => {
      const temperatures = temperaturesOf(id);
      const plants = counts.find(({ placeId }) => placeId === id)?.plants ?? 0;
      if (temperatures.length === 0 || kind === "bag") return [];
      const meanC = meanOf(dailyMeans(temperatures, from, day))!;
      const source = measuredAt(all, id, new Set(measured.map(({ placeId }) => placeId)));
      const deficits = measured.filter((one) => one.placeId === source && one.day >= from).map((one) => one.deficitKpa);
      return [
        {
          ...{ id, name, meanC, plants },
          deficitKpa: meanOf(deficits.filter((value) => value !== null)),
          doubling: pestIds.map((pest) => developmentRateAt(pest, meanC).doublingDays),
        },
      ];
    }),
  };
}
