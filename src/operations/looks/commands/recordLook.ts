import { caseFiledUnder, casesOf, type Case } from "@/core/record/cases/cases";
import type { Plant } from "@/core/record/facts/descriptions";
import { CARRIES_VERSION, passedShare } from "@/core/advice/spread/carries";
import type { Look } from "@/core/record/facts/facts";
import { nothingExpected, type RecordLook } from "@/core/record/facts/kinds/look";
import { severityOf } from "@/core/model/inspection/severity";
import { pestOf } from "@/core/knowledge/pests/pests";
import type { Scope } from "@/db/connection";
import * as carriage from "@/db/stores/plants/carriage";
import * as facts from "@/db/stores/record/facts";
import * as walks from "@/db/stores/walks/walks";
import { waysFor } from "../../cases/waysFor";
import { today, type Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { checkSpots, isJustNow, lockPlant, momentOn } from "../../shared/checks";

export interface LookRecorded {
  readonly id: string;
  /** Cases that this look opened or added to, in the order of its finds. */
  readonly caseIds: readonly string[];
  /** Cases that this look opened. */
  readonly opened: readonly string[];
}

/**
 * Writes down a look. Its finds belong to the cases that the plant's finds and closings come to: a find opens a case where
 * none of that pest was open then.
 */
export function recordLook(context: Context, command: RecordLook): Promise<Outcome<LookRecorded>> {
  return transact(context, "tend", command.id, async (scope) => {
    if (await scope.wasSent("look", command.id)) return resultOf(scope, command, null);
    const plant = await lockPlant(scope, command.plantId);
    const before = await casesOn(scope, plant.id);
    const look = lookOn(context, plant, command, before);
    if (look.walkId && !(await walks.find(scope, look.walkId))) refuse("walkId", "unknown");
    const expected = await expectedBefore(context, scope, plant, look);
    await facts.add(scope, "look", [{ ...look, ...expected }]);
    if (look.finds.length > 0) scope.invalidateBeside([plant.id]);
    else scope.invalidate([plant.id]);
    return resultOf(
      scope,
      command,
      before.map((one) => one.id),
    );
  });
}

/**
 * What was told of such a look before it. Nothing of one that is written down later than within the hour, that was made at other places or with another
 * tool, or on no walk: whoever looks because something struck them finds more than chance.
 */
async function expectedBefore(
  context: Context,
  scope: Scope,
  plant: Plant,
  look: Pick<Look, "at" | "tool" | "spots" | "walkId">,
) {
  if (!look.walkId || !isJustNow(context, look.at)) return null;
  const way = waysFor(context, plant).findLastIndex(
    ({ tool, search }) => tool === look.tool && search.spots.every((spot) => look.spots.includes(spot)),
  );
  if (way < 0) return null;
  const asOf = today(context);
  const carries = await carriage.currentOf(scope, plant.id, { modelVersion: CARRIES_VERSION, asOf });
  const pFind = carries?.looks[way]?.pFind;
  return carries && pFind !== undefined ? { pFind, pPassed: passedShare(carries), passes: carries.passes ?? 1 } : null;
}

/** A look as it is written down, from what was told of it and the cases of its plant; refuses what cannot have been. */
export function lookOn(context: Context, plant: Plant, command: RecordLook, cases: readonly Case[]) {
  const at = momentOn(context, plant, command.at, command.longAgo);
  checkSpots(plant, "spots", command.spots);
  for (const find of command.finds) {
    checkSpots(plant, "finds", find.spots ?? []);
    const stages = pestOf(find.pest).stages.map((stage) => stage.id);
    if (find.stages?.some((stage) => !stages.includes(stage))) refuse("finds", "unknown");
  }
  if (new Set(command.finds.map((find) => find.pest)).size < command.finds.length) refuse("finds", "twice_same_pest");
  const { turned = true, naming = null, newLeaves = null, walkId = null, longAgo: _asked, finds, ...look } = command;
  const filed = finds.map(({ spots = [], stages = [], ...find }) => ({
    ...find,
    spots,
    stages,
    // A count says more than a class and decides it.
    severity: find.count === null ? find.severity : severityOf(find.count),
    caseId: cases.find((one) => one.open && one.pest === find.pest)?.id ?? find.caseId,
  }));
  return { ...look, ...nothingExpected, walkId, turned, naming, newLeaves, at, finds: filed };
}

async function casesOn(scope: Scope, plantId: string) {
  const looked = await facts.of(scope, "look", "plantId", [plantId]);
  return casesOf(looked, await facts.of(scope, "closing", "plantId", [plantId]));
}

/** What came of a look that is on record; `before` are the cases there were, or null for a look that was sent before. */
async function resultOf(
  scope: Scope,
  { id, plantId, finds }: RecordLook,
  before: readonly string[] | null,
): Promise<LookRecorded> {
  const recorded = finds.length > 0 ? await facts.find(scope, "look", id) : null;
  if (!recorded) return { id, caseIds: [], opened: [] };
  const cases = await casesOn(scope, plantId);
  const caseIds = recorded.finds.flatMap((find) => caseFiledUnder(cases, find.id, recorded.at)?.id ?? []);
  return { id, caseIds, opened: before ? caseIds.filter((one) => !before.includes(one)) : [] };
}
