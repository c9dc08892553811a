import { LOOK_BACK_DAYS } from "@/core/carriage/rates";
import { numbersOf } from "@/core/case/numbers";
import { MODEL_VERSION } from "@/core/case/model";
import type { PlacesInRecord } from "@/core/case/record";
import { standing } from "@/core/facts/facts";
import { WATCHED_EVERY_DAYS } from "@/core/programmes/programme";
import { addDays, dayNumber } from "@/core/climate/days";
import { checkCaseFile } from "@/core/format/read";
import { pestOf, type PestId } from "@/core/pests/pests";
import { ask, askAll, type Asked, type AskedPlant } from "@/core/spread/ask";
import {
  carriesOf,
  CARRIES_VERSION,
  reckonOne,
  type PlantCarries,
  type ReckonAll,
  type WayBack,
} from "@/core/spread/carries";
import { waysBack } from "@/core/spread/wayBack";
import type { Scope } from "@/db/connection";
import * as carriage from "@/db/stores/carriage";
import * as caseNumbers from "@/db/stores/caseNumbers";
import * as facts from "@/db/stores/facts";
import { instantOf } from "@/zones";
import { scopeOf, today, type Context } from "./context";
import { fileOfCase } from "./parts/judgements";
import { recordsOf } from "./parts/plantRecords";
import { restate } from "./parts/refreshPlants";
import { waysFor } from "./parts/waysFor";
import { CLEAN_LOOKS_NEEDED, countedCleanLooks } from "@/core/inspection/cleanLooks";
import { askedPlants, readSpread, type SpreadOnRecord } from "./parts/spreadOnRecord";

/** Plants that are reckoned from one set of queries. */
const BATCH = 100;
/** What a deed has touched comes in small helpings, so that it is there within a second. */
const SOON_BATCH = 25;

export type { ReckonAll };
export type Questions = Parameters<ReckonAll>[0];

/** Reckons questions one after the other; they may come from another thread. */
export function reckonQuestions(questions: Questions): Awaited<ReturnType<ReckonAll>> {
  return questions.map((question) => reckonOne({ ...question, pest: pestOf(question.pest.id as PestId) }));
}

const reckonHere: ReckonAll = async (questions) => reckonQuestions(questions);

/** Both models bear on it: that of a case, whose animals the neighbours stand beside, and that of what is carried. */
const VERSION = 1000 * MODEL_VERSION + CARRIES_VERSION;

/**
 * Reckons anew what plants may carry wherever that is not of today, of this model and of the facts as they are: first how many
 * animals the cases have, then the plants that a deed has touched, then the rest. No lock is held while it reckons; what a
 * deed changes meanwhile is reckoned again. Gives how many plants it went through; `more` says whether to go on.
 */
export async function reckonCarriage(
  context: Context,
  more: () => boolean = () => true,
  reckonAll: ReckonAll = reckonHere,
): Promise<number> {
  const scope = scopeOf(context);
  const now = { modelVersion: VERSION, asOf: today(context) };
  let done = 0;
  let onRecord = null;
  while (more()) {
    const soon = await carriage.somethingSoon(scope);
    const wanted = await carriage.toReckon(scope, now, soon ? SOON_BATCH : BATCH);
    if (wanted.length === 0) break;
    // A case that was found meanwhile, or one more day of it, is reckoned before its neighbours.
    const cases = await reckonNumbers(context, scope);
    if (soon || cases > 0 || !onRecord) onRecord = await readSpread(context, scope);
    await traceOrigins(context, scope, onRecord);
    const plantIds = wanted.map(({ plantId }) => plantId);
    const plants = await askedPlants(context, scope, onRecord, plantIds);
    const until = dayNumber(now.asOf) + 1;
    const { spread } = onRecord;
    const asked = plants.map((plant) => questionsOf(context, plant, spread, until));
    const answers = await reckonAll(asked.flatMap((all) => all.map(({ question }) => question)));
    let next = 0;
    const results = new Map<string, PlantCarries>();
    for (const [i, plant] of plants.entries()) {
      const carries = carriesOf(asked[i]!, answers.slice(next, (next += asked[i]!.length)));
      const apart = standsApart(plant, onRecord.around);
      const back = apart ? await wayBackOf(context, plant, asked[i]!, until, onRecord.around, reckonAll) : null;
      results.set(plant.plant.id, { ...carries, waysBack: back });
    }
    const kept = wanted.flatMap((one) => {
      const result = results.get(one.plantId);
      return result ? [{ ...one, result }] : [];
    });
    await context.sequelize.transaction({ transaction: context.batch?.transaction ?? null }, async (transaction) => {
      const within = scopeOf(context, transaction);
      await facts.takeTurn(within, `${within.collectionId} states`);
      await carriage.keep(within, now, kept);
      await restate(context, within, plantIds);
    });
    done += kept.length;
    if (kept.length === 0) break;
  }
  return done;
}

function questionsOf(
  context: Context,
  asked: AskedPlant,
  spread: Parameters<typeof askAll>[1],
  until: number,
): readonly Asked[] {
  const ways = waysFor(context, asked.plant);
  return askAll(
    asked,
    spread,
    until,
    context.collection.hemisphere,
    ways.map(({ search }) => search),
  );
}

/** Where open cases probably came from: the ways that a look just before the find would have had to blame. */
async function traceOrigins(context: Context, scope: Scope, onRecord: SpreadOnRecord): Promise<void> {
  const cases = await caseNumbers.toTrace(scope);
  if (cases.length === 0) return;
  const plants = await askedPlants(context, scope, onRecord, [...new Set(cases.map(({ plantId }) => plantId))]);
  for (const { caseId, plantId, turn } of cases) {
    const plant = plants.find((one) => one.plant.id === plantId);
    const found = plant?.cases.find(({ id }) => id === caseId);
    if (!plant || !found) continue;
    const { spread } = onRecord;
    const before = ask(plant, found.pest, spread, spread.clock(found.openedAt), context.collection.hemisphere);
    await caseNumbers.keepOrigin(scope, caseId, turn, carriesOf([before], [reckonOne(before.question)]).routes);
  }
}

/** Whether a plant stands apart without a case: an arrival, or one that is to go back. */
function standsApart({ stands, cases }: AskedPlant, { apartAt }: PlacesInRecord): boolean {
  const now = stands.at(-1);
  return now !== undefined && now.until === null && apartAt(now.placeId) && !cases.some(({ open }) => open);
}

/** When a plant that stands apart may join the others: its next looks are a week apart. */
function wayBackOf(
  context: Context,
  { plant, looks, stands }: AskedPlant,
  asked: readonly Asked[],
  until: number,
  { apartAt }: PlacesInRecord,
  reckonAll: ReckonAll,
): Promise<WayBack[]> {
  const last = standing(looks).at(-1)?.day;
  const day = today(context);
  const next = last === undefined ? day : addDays(last, WATCHED_EVERY_DAYS);
  const limit = context.collection.riskPercent / 100;
  // A new plant joins after two clean looks at the soonest, whatever the chance.
  const since = stands[stands.findLastIndex(({ placeId }) => !apartAt(placeId)) + 1]!.from;
  const clean = standing(looks).filter(({ at, finds }) => finds.length === 0 && at >= since);
  const least = Math.max(1, CLEAN_LOOKS_NEEDED - countedCleanLooks(clean.map((look) => look.day)));
  const first = next < day ? day : next;
  return waysBack(asked, plant.growthForm, waysFor(context, plant), first, until, limit, least, reckonAll);
}

/** Reckons how many animals the cases have whose numbers are out of date. Gives how many. */
async function reckonNumbers(context: Context, scope: Scope): Promise<number> {
  const { timeZone } = context.collection;
  const asOf = today(context);
  const since = instantOf(`${addDays(asOf, -LOOK_BACK_DAYS)}T00:00`, timeZone);
  const stale = await caseNumbers.toReckon(scope, { modelVersion: MODEL_VERSION, asOf, since });
  for (const { caseId, plantId } of stale) {
    const record = (await recordsOf(scope, [plantId])).records[0];
    const found = record?.cases.find(({ id }) => id === caseId);
    if (!record || !found) continue;
    const input = fileOfCase(record, found, asOf, timeZone);
    const read = input && checkCaseFile(input);
    const numbers = read?.ok ? numbersOf(read.file) : null;
    const { factsVersion } = record;
    await caseNumbers.keep(scope, { caseId, plantId, factsVersion, modelVersion: MODEL_VERSION, asOf, numbers });
  }
  if (stale.length > 0) await caseNumbers.forget(scope);
  return stale.length;
}
