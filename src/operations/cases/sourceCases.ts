import { LOOK_BACK_DAYS } from "@/core/model/carriage/rates";
import { numbersOf } from "@/core/advice/clearance/numbers";
import { addDays } from "@/core/shared/days";
import { checkCaseFile } from "@/core/record/format/read";
import { askOrigin } from "@/core/advice/spread/ask";
import { CARRIES_VERSION, blamedRoutes } from "@/core/advice/spread/carries";
import type { Scope } from "@/db/connection";
import * as caseNumbers from "@/db/stores/cases/caseNumbers";
import { instantOf } from "@/zones";
import { today, type Context } from "../shared/context";
import { fileOfCase } from "./judgements";
import { recordsOf } from "../plants/plantRecords";
import { askedPlants, readSpread } from "../plants/spreadOnRecord";

/** Reckons how many animals the cases have whose numbers are out of date. Gives how many. */
export async function reckonNumbers(context: Context, scope: Scope): Promise<number> {
  const { timeZone } = context.collection;
  const asOf = today(context);
  const since = instantOf(`${addDays(asOf, -LOOK_BACK_DAYS)}T00:00`, timeZone);
  const stale = await caseNumbers.toReckon(scope, { modelVersion: CARRIES_VERSION, asOf, since });
  for (const { caseId, plantId } of stale) {
    const record = (await recordsOf(scope, [plantId])).records[0];
    const found = record?.cases.find(({ id }) => id === caseId);
    if (!record || !found) continue;
    const input = fileOfCase(record, found, asOf, context.collection);
    const read = input && checkCaseFile(input);
    const numbers = read?.ok ? numbersOf(read.file, !found.open) : null;
    const { factsVersion } = record;
    await caseNumbers.keep(scope, { caseId, plantId, factsVersion, modelVersion: CARRIES_VERSION, asOf, numbers });
  }
  if (stale.length > 0) await caseNumbers.forget(scope);
  return stale.length;
}

/** Where open cases probably came from: the ways that a look just before the find would have had to blame. */
export async function traceOrigins(context: Context, scope: Scope): Promise<void> {
  // The turn is read before the record: what changes after it has the origin traced once more. A find of that turn may still be
  // without its numbers, and a case without numbers gives nothing to anyone: they come before the record is read.
  const cases = await caseNumbers.toTrace(scope);
  if (cases.length === 0) return;
  await reckonNumbers(context, scope);
  const onRecord = await readSpread(context, scope);
  const plants = await askedPlants(context, scope, onRecord, [...new Set(cases.map(({ plantId }) => plantId))]);
  for (const { caseId, plantId, turn } of cases) {
    const plant = plants.find((one) => one.plant.id === plantId);
    const found = plant?.cases.find(({ id }) => id === caseId);
    if (!plant || !found) continue;
    const asked = askOrigin(plant, found, onRecord.spread, context.collection.hemisphere);
    await caseNumbers.keepOrigin(scope, caseId, turn, asked ? blamedRoutes(asked) : []);
  }
}
