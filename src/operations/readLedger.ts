import { costsOfAct } from "@/core/acts/acts";
import { daysBetween, type Day } from "@/core/climate/days";
import { standing } from "@/core/facts/facts";
import { groupBy } from "@/core/groupBy";
import { tally, type CaseCounted, type TallyBy, type TallyLine } from "@/core/ledger/tally";
import { originOf } from "@/core/spread/around";
import type { PlantCard } from "@/core/state/plantCard";
import { secondsFor } from "@/core/walk/timeLeft";
import { together } from "@/db/query";
import * as facts from "@/db/stores/facts";
import * as ledger from "@/db/stores/ledger";
import * as places from "@/db/stores/places";
import * as plantStates from "@/db/stores/plantStates";
import { dayOf, scopeOf, today, type Context } from "./context";
import { cardOf } from "./parts/plantCard";

export interface LedgerView {
  readonly by: TallyBy;
  readonly lines: readonly (TallyLine & { readonly name: string })[];
}

/** What was found, counted by seller, by the way it came in, by place or by month, with what it has cost. */
export async function readLedger(context: Context, by: TallyBy): Promise<LedgerView> {
  const scope = scopeOf(context, "read");
  const [cases, looks, plants, all] = await together(
    scope,
    () => ledger.cases(scope),
    () => ledger.looksInCases(scope),
    () => ledger.plants(scope),
    () => places.all(scope),
  );
  const acts = groupBy(
    standing(await facts.of(scope, "act", "plantId", [...new Set(cases.map(({ plantId }) => plantId))])),
    ({ plantId }) => plantId,
  );
  const looked = groupBy(looks, ({ caseId }) => caseId);
  const counted = cases.map((one): CaseCounted => {
    const { caseId, plantId, pest, openedAt, closedAt, seller, potCm, placeId } = one;
    const done = (acts.get(plantId) ?? []).filter(({ at }) => at >= openedAt && (closedAt === null || at <= closedAt));
    const hands = done.reduce((sum, { act }) => sum + costsOfAct(act, potCm).minutes, 0);
    const eyes = (looked.get(caseId) ?? []).reduce(
      (sum, { tool, looks: n }) => sum + (n * secondsFor(tool, "likely", potCm)) / 60,
      0,
    );
    const foundOn = dayOf(context, openedAt);
    const acquiredOn = one.acquiredOn as Day | null;
    return {
      ...{ caseId, plantId, pest, foundOn, seller, placeId },
      way: one.origin ? (originOf(one.origin).told?.kind ?? null) : null,
      daysUntilFound: acquiredOn && acquiredOn <= foundOn ? daysBetween(acquiredOn, foundOn) : null,
      minutes: hands + eyes,
    };
  });
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
