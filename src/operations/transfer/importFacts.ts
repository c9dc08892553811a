import { v5 as uuidv5 } from "uuid";
import { subjectsOf, treats, type Act } from "@/core/acts/acts";
import { rootsIn } from "@/core/acts/mechanical";
import { casesOf, type Case } from "@/core/record/cases/cases";
import { priorsFor, USUAL_C } from "@/core/advice/diagnosis/priors";
import type { Plant } from "@/core/record/facts/descriptions";
import { standing } from "@/core/record/facts/facts";
import { moment } from "@/core/shared/fields";
import { recordLook as lookShape } from "@/core/record/facts/kinds/look";
import { usualTool } from "@/core/record/facts/settings";
import {
  factsFromRows,
  type Cells,
  type FactTable,
  type ReadAct,
  type ReadFacts,
  type ReadLook,
  type RowProblem,
} from "@/core/record/format/csvFacts";
import { groupBy } from "@/core/shared/groupBy";
import { placesOfRound } from "@/core/advice/walks/places";
import type { Scope } from "@/db/connection";
import * as carriage from "@/db/stores/plants/carriage";
import * as facts from "@/db/stores/record/facts";
import * as looks from "@/db/stores/looks/looks";
import * as places from "@/db/stores/places/places";
import * as plants from "@/db/stores/plants/plants";
import * as plantStates from "@/db/stores/plants/plantStates";
import { dayIn, instantOf, withOffset } from "@/zones";
import { scopeOf, type Context } from "../shared/context";
import { deriveStale } from "../plants/commands/deriveStale";
import { outcomeOf, refuse, type Problem } from "../shared/outcome";
import { checkSpots, momentOn, pastMoment } from "../shared/checks";
import { plantsWarmedBy } from "../places/placesAround";
import { refreshPlants } from "../plants/refreshPlants";
import { fromPot } from "../acts/commands/recordAct";
import { lookOn } from "../looks/commands/recordLook";

/** A row that could not be taken, and why: what is wrong in the row itself, or what the record has against it. */
export type RefusedRow = RowProblem | { readonly table: FactTable; readonly row: number; readonly problem: Problem };

export type FactsImported =
  | { readonly ok: true; readonly added: number; readonly known: number; readonly struckOut: number }
  | { readonly ok: false; readonly refused: readonly RefusedRow[] };

/** Leaves the transaction with nothing written. */
class Refused extends Error {
  constructor(readonly refused: readonly RefusedRow[]) {
    super("rows were refused");
  }
}

/** Under which names ids of rows without one are made. */
const NAMESPACE = "5f4f2a52-1d0c-4d8e-9a55-0d6a1b1c7a10";
const DAY = /^\d{4}-\d{2}-\d{2}$/;
const WALL = /^(\d{4}-\d{2}-\d{2})[ T](\d{2}:\d{2})(?::\d{2})?$/;
/** A day without a time of its own means its noon, or now where that is still to come. */
const NOON = "T12:00";

/** The moment that a cell means: an instant, or what the clock of the collection's zone shows. */
export function momentIn(
  cell: string,
  { collection: { timeZone }, now }: Pick<Context, "collection" | "now">,
): string | null {
  const wall = WALL.exec(cell);
  const text = DAY.test(cell) ? `${cell}${NOON}` : wall ? `${wall[1]}T${wall[2]}` : null;
  if (!text || Number.isNaN(Date.parse(`${text}Z`))) return moment.safeParse(cell).success ? cell : null;
  const at = instantOf(text, timeZone);
  const early = DAY.test(cell) && at > now && dayIn(at, timeZone) === dayIn(now, timeZone);
  const written = withOffset(early ? now : at, timeZone);
  return moment.safeParse(written).success ? written : null;
}

/** Facts that are written in one statement. */
const AT_ONCE = 500;
/** Up to so many plants what follows is derived at once; of more it follows in pieces, so that nobody waits for all of them. */
const DERIVED_AT_ONCE = 60;

/** Whoever brought the tables has gone: nothing of them has come in. */
export class Gone extends Error {}

/**
 * Brings looks, finds and acts from tables into the record: all of them or, where anything is wrong with one, none, with everything that
 * is wrong. Each is held against what it would be held against by hand. Twice is once. The plants are locked first, in one order, and
 * what follows is derived once, at the end. `more` is asked now and then whether to go on; throws {@link Gone} where not.
 */
export async function importFacts(
  context: Context,
  tables: Readonly<Record<FactTable, readonly Cells[]>>,
  more: () => boolean = () => true,
): Promise<FactsImported> {
  const scope = scopeOf(context, "record");
  const known = await plants.every(scope);
  const byCode = new Map(known.map((plant) => [plant.code.toLowerCase(), plant]));
  const placeIds = new Map((await places.all(scope)).map(({ id, name }) => [name.toLowerCase(), id]));
  const read = factsFromRows(tables, {
    plantId: (code) => byCode.get(code.toLowerCase())?.id ?? null,
    placeId: (name) => placeIds.get(name.toLowerCase()) ?? null,
    moment: (cell) => momentIn(cell, context),
    idOf: (words) => uuidv5(`${context.collection.id} ${words}`, NAMESPACE),
    tool: usualTool(context.collection.owns),
  });
  if (read.problems.length > 0) return { ok: false, refused: read.problems };
  const plantIds = [...read.looks, ...read.acts].flatMap(({ plantId }) => plantId ?? []);
  const large = new Set(plantIds).size > DERIVED_AT_ONCE;
  const goOn = () => {
    if (!more()) throw new Gone();
  };
  try {
    const came = await context.sequelize.transaction(async (transaction) => {
      const within = scopeOf(context, "record", transaction);
      await facts.advisoryLock(within, `${within.collectionId} import`);
      const locked = await plants.lockAll(within, [...new Set(plantIds)]);
      goOn();
      const put = await putAll(context, within, read, new Map(locked.map((plant) => [plant.id, plant])), goOn);
      if (large) {
        await plantStates.markChanged(within, put.beside.length > 0 ? null : put.alone);
        await carriage.wantAll(within);
      } else {
        await refreshPlants(context, within, {
          alone: new Set(put.alone),
          beside: new Set(put.beside),
          everything: put.everything,
        });
      }
      return { added: put.added, known: put.known };
    });
    if (large) await deriveStale(context, more);
    return { ok: true, ...came, struckOut: read.struckOut };
  } catch (error) {
    if (error instanceof Refused) return { ok: false, refused: error.refused };
    throw error;
  }
}

interface Put {
  readonly added: number;
  readonly known: number;
  /** Plants whose facts have changed; of the others what stood beside them too. */
  readonly alone: readonly string[];
  readonly beside: readonly string[];
  /** Whether something was done to places. */
  readonly everything: boolean;
}

/** Holds every row against the record, and writes all of them down or none. */
async function putAll(
  context: Context,
  scope: Scope,
  { looks, acts }: ReadFacts,
  locked: ReadonlyMap<string, Plant>,
  goOn: () => void,
): Promise<Put> {
  const refused: RefusedRow[] = [];
  const refusal = (row: ReadLook["row"] | ReadAct["row"], problems: readonly Problem[]) =>
    refused.push(...problems.map((problem) => ({ ...row, problem })));
  const plantOf = (id: string) => {
    const plant = locked.get(id);
    if (!plant) return refuse("plantId", "unknown");
    return plant.archivedAt ? refuse("plantId", "archived") : plant;
  };
  const ids = (all: readonly { readonly id: string }[]) => all.map(({ id }) => id);
  const thereLooks = new Map(
    (await inChunks(ids(looks), (some) => facts.some(scope, "look", some))).map((one) => [one.id, one]),
  );
  const thereActs = new Set(
    await inChunks(ids(acts), async (some) => [...(await facts.recordedAmong(scope, "act", some))]),
  );

  const looked = await casesBy(scope, [...locked.keys()]);
  const newLooks = looks.flatMap(({ row, ...look }) => {
    const there = thereLooks.get(look.id);
    if (there) {
      const missing = look.finds.some(({ id }) => !there.finds.some((find) => find.id === id));
      if (missing) refusal(row, [{ path: "finds", code: "look_without_it" }]);
      return [];
    }
    const made = outcomeOf(() => {
      const plant = plantOf(look.plantId);
      const form = plant.growthForm;
      const spots =
        look.spots.length > 0
          ? look.spots
          : placesOfRound(form, priorsFor({ form, meanC: USUAL_C, season: "spring", nearby: {} }), "likely");
      const finds = look.finds.map((find) => ({ ...find, caseId: uuidv5(find.id, NAMESPACE) }));
      const command = lookShape.parse({ ...look, finds, spots, longAgo: true });
      return lookOn(context, plant, command, looked.get(plant.id) ?? []);
    });
    if (made.ok) return [made.value];
    refusal(row, made.problems);
    return [];
  });
  goOn();
  await inChunks(newLooks, async (some) => {
    await facts.add(scope, "look", some);
    return [];
  });
  goOn();
  // What was done is filed under the case that was open then, with the finds that came in beside it.
  const cases = newLooks.some(({ finds }) => finds.length > 0) ? await casesBy(scope, [...locked.keys()]) : looked;
  const placeIds = new Set((await places.all(scope)).map(({ id }) => id));
  const newActs = acts.flatMap(({ row, at: givenAt, ...read }) => {
    if (thereActs.has(read.id)) return [];
    const made = outcomeOf(() => {
      const subject = read.placeId === null ? "plant" : "place";
      if (!subjectsOf(read.act.kind).includes(subject)) refuse("act", "not_on_place");
      const stepId = null;
      if (read.placeId !== null) {
        if (!placeIds.has(read.placeId)) refuse("placeId", "unknown");
        return { ...read, caseId: null, stepId, at: pastMoment(context, new Date(givenAt)) };
      }
      const plant = plantOf(read.plantId!);
      const at = momentOn(context, plant, new Date(givenAt), true);
      if ("spots" in read.act) checkSpots(plant, "act.spots", read.act.spots);
      const caseId = caseOpenThen(cases.get(plant.id) ?? [], at, read.act);
      return { ...read, act: fromPot(read.act, plant.potCm), caseId, stepId, at };
    });
    if (made.ok) return [made.value];
    refusal(row, made.problems);
    return [];
  });
  if (refused.length > 0) throw new Refused(refused);
  await inChunks(newActs, async (some) => {
    await facts.add(scope, "act", some);
    return [];
  });
  goOn();
  await potAnew(
    scope,
    newActs.flatMap(({ plantId, act }) => (plantId && rootsIn(act) ? [plantId] : [])),
  );
  const onPlaces = [...new Set(newActs.flatMap(({ placeId }) => placeId ?? []))];
  const warmed: string[] = [];
  for (const placeId of onPlaces) warmed.push(...(await plantsWarmedBy(scope, placeId)));
  const withFinds = newLooks.filter(({ finds }) => finds.length > 0).map(({ plantId }) => plantId);
  return {
    added: newLooks.length + newActs.length,
    known: looks.length + acts.length - newLooks.length - newActs.length,
    alone: [...new Set([...newLooks, ...newActs].flatMap(({ plantId }) => plantId ?? []).concat(warmed))],
    beside: [...new Set(withFinds)],
    everything: onPlaces.length > 0,
  };
}

/** Does something with so many at once, one helping after the other, and puts together what comes of each. */
async function inChunks<T, R>(all: readonly T[], work: (some: readonly T[]) => Promise<readonly R[]>): Promise<R[]> {
  const done: R[] = [];
  for (let i = 0; i < all.length; i += AT_ONCE) done.push(...(await work(all.slice(i, i + AT_ONCE))));
  return done;
}

/** The cases of plants as they are on record. */
async function casesBy(scope: Scope, plantIds: readonly string[]): Promise<Map<string, Case[]>> {
  const ever = await looks.withFinds(scope, plantIds);
  const ids = plantIds.filter((id) => ever.has(id));
  const looked = groupBy(await facts.of(scope, "look", "plantId", ids), (look) => look.plantId);
  const closed = groupBy(await facts.of(scope, "closing", "plantId", ids), (closing) => closing.plantId);
  return new Map(ids.map((id) => [id, casesOf(looked.get(id) ?? [], closed.get(id) ?? [])]));
}

/** Plants that were potted anew are in the pot of the last potting that stands. */
async function potAnew(scope: Scope, plantIds: readonly string[]): Promise<void> {
  const ids = [...new Set(plantIds)];
  const done = groupBy(standing(await facts.of(scope, "act", "plantId", ids)), (act) => act.plantId);
  for (const id of ids) {
    const last = done.get(id)?.findLast(({ act }) => rootsIn(act));
    const roots = last && rootsIn(last.act);
    if (roots) await plants.setPot(scope, id, roots.potCm);
  }
}

/** The case that was open then and that an act is a treatment of, if it is only one: what was done against which of several is not known. */
function caseOpenThen(cases: readonly Case[], at: Date, act: Act): string | null {
  const open = cases.filter(
    ({ openedAt, closing, pest }) => openedAt <= at && (!closing || closing.at > at) && treats(act, pest),
  );
  return open.length === 1 ? open[0]!.id : null;
}
