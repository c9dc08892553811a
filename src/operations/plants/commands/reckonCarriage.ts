import type { Carriage } from "@/core/model/carriage/carriage";
import { inspectionsOn } from "@/core/record/cases/inspections";
import type { PlacesInRecord } from "@/core/record/cases/record";
import { addDays, dayNumber } from "@/core/shared/days";
import { standing } from "@/core/record/facts/facts";
import { CLEAN_LOOKS_NEEDED, countedCleanLooks } from "@/core/model/inspection/cleanLooks";
import type { Search } from "@/core/model/inspection/see";
import { WATCHED_EVERY_DAYS } from "@/core/schedule/programmes/programme";
import { everyDays } from "@/core/schedule/programmes/round";
import { askAll, type Asked, type AskedPlant } from "@/core/advice/spread/ask";
import {
  carriesOf,
  CARRIES_VERSION,
  type PlantCarries,
  type ReckonAll,
  type WayBack,
} from "@/core/advice/spread/carries";
import { reckonAsked } from "@/core/advice/spread/reckonAsked";
import { releasesFromIsolation } from "@/core/advice/isolation/releaseFromIsolation";
import { inParallel } from "@/db/query";
import * as carriage from "@/db/stores/plants/carriage";
import * as facts from "@/db/stores/record/facts";
import { scopeOf, today, type Context } from "../../shared/context";
import { refreshState } from "../refreshPlants";
import { riskOf } from "../risk";
import { stillHolds } from "../../collections/settings";
import { reckonNumbers, traceOrigins } from "../../cases/sourceCases";
import { reckonQuestions } from "../reckonQuestions";
import { asAsked, readAsked, readSpread, type SpreadOnRecord } from "../spreadOnRecord";
import { waysFor } from "../../cases/waysFor";

/** Plants that are reckoned from one set of queries. */
const BATCH = 100;
/** What a command has touched comes in small helpings, so that it is there within a second. */
const SOON_BATCH = 60;

const reckonHere: ReckonAll = async (questions) => reckonQuestions(questions);

/** Plants whose questions are being reckoned. */
interface Helping {
  readonly wanted: readonly carriage.Wanted[];
  readonly plants: readonly AskedPlant[];
  readonly asked: readonly (readonly Asked[])[];
  readonly answers: Promise<readonly (Carriage | null)[]>;
  readonly around: PlacesInRecord;
  readonly passes: number;
  /** Whether a command has touched them: they are put down before anything else is read. */
  readonly soon: boolean;
}

/**
 * Reckons anew what plants may carry wherever that is not of today, of this model and of the facts as they are: first how many
 * animals the cases have, then the plants that a command has touched, then the rest. No lock is held while it reckons; what a
 * command changes meanwhile is reckoned again. While one helping is reckoned the next is read. Gives how many plants it went
 * through; `more` says whether to go on. With `which` "touched" the rest is left for later.
 */
export async function reckonCarriage(
  context: Context,
  more: () => boolean = () => true,
  reckonAll: ReckonAll = reckonHere,
  which: "touched" | "all" = "all",
): Promise<number> {
  const scope = scopeOf(context, "record");
  const now = { modelVersion: CARRIES_VERSION, asOf: today(context) };
  // What is under way, and what could not be reckoned, is not taken up again in this run.
  const taken = new Set<string>();
  let done = 0;
  let held: { readonly touches: number; readonly onRecord: SpreadOnRecord } | null = null;
  let under: Helping | null = null;
  const kinds = new Map<string, readonly Search[]>();

  const take = async (): Promise<Helping | null> => {
    // What is wanted is read before the facts it stands for: whatever changes after this is wanted again.
    const waiting = await carriage.toReckon(scope, now, BATCH, [...taken]);
    if (waiting.length === 0 || (which === "touched" && !waiting[0]!.soon)) {
      await traceOrigins(context, scope);
      return null;
    }
    // A few that a command has touched are put down before anything else; where everything was touched nothing comes before the rest.
    const touched = waiting.filter((one) => one.soon);
    const soon = touched.length > 0 && touched.length <= SOON_BATCH;
    const wanted = soon ? touched : waiting;
    const { touches } = wanted[0]!;
    // A case that was found meanwhile, or one more day of it, is reckoned before its neighbours.
    const cases = await reckonNumbers(context, scope);
    const known = held && cases === 0 && held.touches === touches ? held.onRecord : null;
    const plantIds = wanted.map(({ plantId }) => plantId);
    for (const id of plantIds) taken.add(id);
    const [onRecord, ofPlants] = await inParallel(
      scope,
      async () => known ?? readSpread(context, scope),
      () => readAsked(context, scope, plantIds),
    );
    held = { touches, onRecord };
    if (!soon) await traceOrigins(context, scope);
    const plants = asAsked(ofPlants, onRecord);
    const until = dayNumber(now.asOf) + 1;
    const asked = plants.map((plant) => {
      // Plants of a kind are looked at in the same ways.
      const kind = `${plant.plant.growthForm} ${plant.plant.genus}`;
      const ways = kinds.get(kind) ?? waysFor(context, plant.plant).map(({ search }) => search);
      kinds.set(kind, ways);
      return askAll(plant, onRecord.spread, until, context.collection.hemisphere, ways);
    });
    const questions = asked.flatMap((all) => all.map(({ question }) => question));
    const answers = reckonAsked(questions, reckonAll);
    // It is waited for in its turn; until then nobody else hears of its trouble.
    answers.catch(() => {});
    return { wanted, plants, asked, answers, around: onRecord.around, passes: onRecord.spread.passes, soon };
  };
  const put = async ({ wanted, plants, asked, answers: reckoned, around, passes }: Helping): Promise<boolean> => {
    const answers = await reckoned;
    const results = new Map<string, PlantCarries>();
    let next = 0;
    for (const [i, plant] of plants.entries()) {
      const carries = carriesOf(asked[i]!, answers.slice(next, (next += asked[i]!.length)));
      const until = dayNumber(now.asOf) + 1;
      const back = standsApart(plant, around)
        ? await wayBackOf(context, plant, asked[i]!, until, around, reckonAll)
        : null;
      results.set(plant.plant.id, { ...carries, waysBack: back, passes });
    }
    const kept = wanted.flatMap((one) => {
      const result = results.get(one.plantId);
      return result ? [{ ...one, result }] : [];
    });
    const turned = kept.filter((one) => !one.current || bandOf(context, one.risk) !== bandOf(context, one.result.risk));
    return context.sequelize.transaction({ transaction: context.batch?.transaction ?? null }, async (transaction) => {
      const within = scopeOf(context, "record", transaction);
      if (!(await stillHolds(context, within))) return false;
      await facts.advisoryLock(within, `${within.collectionId} states`);
      await carriage.keep(within, now, kept);
      await refreshState(
        context,
        within,
        turned.map(({ plantId }) => plantId),
      );
      // It may be wanted again by now.
      for (const { plantId } of kept) taken.delete(plantId);
      done += kept.length;
      return true;
    });
  };

  while (more()) {
    const next = await take();
    // Where the settings have changed everything is asked for anew.
    if (under && !(await put(under))) return done;
    under = next?.soon ? null : next;
    if (next?.soon && !(await put(next))) return done;
    // Nothing was left while the last helping was reckoned; what has changed since is looked for once more.
    else if (!under && !(under = await take())) break;
  }
  if (under) await put(under);
  return done;
}

/** On which side of the limits that bear on how a plant stands a chance lies. */
function bandOf({ collection }: Context, risk: number | null): string {
  const of = riskOf(collection, risk === null ? undefined : { plantId: "", risk, current: true });
  return `${everyDays(collection.lookEveryDays, of)} ${of.p !== null && of.p >= of.from}`;
}

/** Whether a plant stands apart without a case: an arrival, or one that is to go back. */
function standsApart({ stands, cases }: AskedPlant, { apartAt }: PlacesInRecord): boolean {
  const now = stands.at(-1);
  return now !== undefined && now.until === null && apartAt(now.placeId) && !cases.some(({ open }) => open);
}

/** When a plant that stands apart may join the others: its next looks are a week apart. */
function wayBackOf(
  context: Context,
  { plant, stands, ...facts }: AskedPlant,
  asked: readonly Asked[],
  until: number,
  { apartAt }: PlacesInRecord,
  reckonAll: ReckonAll,
): Promise<WayBack[]> {
  const looks = standing(inspectionsOn(facts));
  const last = looks.at(-1)?.day;
  const day = today(context);
  const next = last === undefined ? day : addDays(last, WATCHED_EVERY_DAYS);
  const limit = context.collection.riskPercent / 100;
  // A new plant joins after two clean looks at the soonest, whatever the chance.
  const since = stands[stands.findLastIndex(({ placeId }) => !apartAt(placeId)) + 1]!.from;
  const clean = looks.filter(({ at, finds }) => finds.length === 0 && at >= since);
  const least = Math.max(1, CLEAN_LOOKS_NEEDED - countedCleanLooks(clean.map((look) => look.day)));
  const first = next < day ? day : next;
  return releasesFromIsolation(asked, plant.growthForm, waysFor(context, plant), first, until, limit, least, reckonAll);
}
