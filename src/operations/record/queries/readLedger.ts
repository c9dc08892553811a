import { groupBy } from "@/core/shared/groupBy";
import { tally, type CaseCounted, type TallyBy, type TallyLine } from "@/core/advice/ledger/tally";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import { inParallel } from "@/db/query";
import * as ledger from "@/db/stores/record/ledger";
import * as places from "@/db/stores/places/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import { scopeOf, today, type Context } from "../../shared/context";
import { cardOf } from "../../plants/plantCard";
import { countedCases } from "../countedCases";

export interface LedgerView {
  readonly by: TallyBy;
  readonly lines: readonly (TallyLine & { readonly name: string })[];
}

/** What was found, counted by seller, by the way it came in, by place or by month, with what it has cost. */
export async function readLedger(context: Context, by: TallyBy): Promise<LedgerView> {
  const scope = scopeOf(context, "read");
  const counted = await countedCases(context);
  const [plants, all] = await inParallel(
    scope,
    () => ledger.plants(scope),
    () => places.all(scope),
  );
  const names = new Map(all.map(({ id, name }) => [id, name]));
  return {
    by,
    lines: tally(by, plants, counted).map((line) => ({
      ...line,
      name: by === "place" ? (names.get(line.key) ?? "") : line.key,
    })),
  };
}

export interface LedgerPlants {
  readonly line: LedgerView["lines"][number];
  readonly plants: readonly { readonly card: PlantCard; readonly finds: readonly CaseCounted[] }[];
}

/** The plants behind a number of the ledger: all of a line, or those that were found; null when there is no such line. */
export async function readLedgerPlants(
  context: Context,
  by: TallyBy,
  key: string,
  found: boolean,
): Promise<LedgerPlants | null> {
  const { lines } = await readLedger(context, by);
  const line = lines.find((one) => one.key === key);
  if (!line) return null;
  const finds = groupBy(line.finds, ({ plantId }) => plantId);
  const ids = found ? [...finds.keys()] : line.plantIds;
  const day = today(context);
  const rows = await plantStates.of(scopeOf(context, "read"), ids);
  return { line, plants: rows.map((row) => ({ card: cardOf(row, day), finds: finds.get(row.id) ?? [] })) };
}
