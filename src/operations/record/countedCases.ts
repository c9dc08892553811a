import { costsOfAct } from "@/core/acts/acts";
import type { CaseOfYear } from "@/core/advice/ledger/year";
import { originOf } from "@/core/advice/spread/around";
import { secondsFor } from "@/core/advice/walks/timeLeft";
import { standing } from "@/core/record/facts/facts";
import { daysBetween, type Day } from "@/core/shared/days";
import { groupBy } from "@/core/shared/groupBy";
import { inParallel } from "@/db/query";
import * as facts from "@/db/stores/record/facts";
import * as ledger from "@/db/stores/record/ledger";
import { dayOf, scopeOf, type Context } from "../shared/context";

/** Every case there was, as the ledger counts it: how it came, how long it went unseen, and what it has taken. */
export async function countedCases(context: Context): Promise<readonly CaseOfYear[]> {
  const scope = scopeOf(context, "read");
  const [cases, looks] = await inParallel(
    scope,
    () => ledger.cases(scope),
    () => ledger.looksInCases(scope),
  );
  const acts = groupBy(
    standing(await facts.of(scope, "act", "plantId", [...new Set(cases.map(({ plantId }) => plantId))])),
    ({ plantId }) => plantId,
  );
  const looked = groupBy(looks, ({ caseId }) => caseId);
  return cases.map((one): CaseOfYear => {
    const { caseId, plantId, pest, openedAt, closedAt, outcome, seller, potCm, placeId } = one;
    const done = (acts.get(plantId) ?? []).filter(({ at }) => at >= openedAt && (closedAt === null || at <= closedAt));
    const hands = done.reduce((sum, { act }) => sum + costsOfAct(act, potCm).minutes, 0);
    const eyes = (looked.get(caseId) ?? []).reduce(
      (sum, { tool, looks: n }) => sum + (n * secondsFor(tool, "likely", potCm)) / 60,
      0,
    );
    const foundOn = dayOf(context, openedAt);
    const acquiredOn = one.acquiredOn as Day | null;
    return {
      ...{ caseId, plantId, pest, foundOn, seller, placeId, outcome },
      closedOn: closedAt && dayOf(context, closedAt),
      way: one.origin ? (originOf(one.origin).likeliest?.kind ?? null) : null,
      daysUntilFound: acquiredOn && acquiredOn <= foundOn ? daysBetween(acquiredOn, foundOn) : null,
      minutes: hands + eyes,
    };
  });
}
