import { addDays, type Day } from "@/core/shared/days";
import { workIn, type Act } from "@/core/acts/acts";
import { standing } from "@/core/record/facts/facts";
import type { Chosen } from "@/core/record/facts/kinds/roomProgramme";
import { proneTo } from "@/core/knowledge/plants/care";
import { inBatches, withoutThose, workDaysBetween, type Batch } from "@/core/advice/seasons/batches";
import { ofKind, type Running } from "@/core/advice/seasons/running";
import {
  driesInPlace,
  leftWhenReady,
  makesReady,
  nextInside,
  nextOutside,
  noSoak,
  sprays,
  type NoSoak,
  type WinterWork,
  type WinterPlant,
  type WinterStepId,
  winterBegin,
  winterWork,
  winterMinutes,
  winterPut,
  winterSteps,
} from "@/core/advice/seasons/wintering";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import { actObjections } from "@/core/advice/tolerance/actObjections";
import type { Objection } from "@/core/advice/tolerance/suitability";
import type { Place } from "@/core/record/facts/descriptions";
import type { Scope } from "@/db/connection";
import { inParallel } from "@/db/query";
import * as carriage from "@/db/stores/plants/carriage";
import * as placements from "@/db/stores/plants/placements";
import * as places from "@/db/stores/places/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import { dayOf, today, type Context } from "../shared/context";
import { bearerOn } from "../plants/onPlant";
import { cardOf } from "../plants/plantCard";
import { recordsOf, type KeptRecord } from "../plants/plantRecords";
import { ownPaces } from "../sessions/ownPaces";
import { around, programmesNow } from "./roomOnRecord";

/** A plant of a wintering, with what is done to it. */
export interface WinterLine {
  readonly plant: PlantCard;
  readonly steps: readonly WinterStepId[];
  /** What each step writes down. */
  readonly work: readonly WinterWork[];
  /** Why its pot is not soaked; null where it is. */
  readonly dry: NoSoak | null;
  readonly minutes: number;
  readonly against: readonly Objection[];
  /** The chance that it carries something, as far as it is reckoned. */
  readonly p: number;
}

/** One way in for winter that runs. */
export interface Wintering {
  readonly placeId: string;
  readonly placeName: string;
  readonly begunOn: Day;
  readonly beginsOn: Day;
  readonly chosen: Chosen<"wintering">;
  readonly toName: string;
  readonly plants: number;
  readonly done: number;
  readonly tonight: readonly WinterLine[];
  /** Everyone who is not ready, tonight's among them. */
  readonly open: readonly WinterLine[];
  /** Those on whom something of it was done today: ready, or on the way. */
  readonly begunToday: readonly WinterLine[];
  readonly batches: readonly Batch[];
  /** Plants that fit on no evening before the move, and those whose evening has gone by. */
  readonly left: readonly PlantCard[];
  readonly behind: readonly PlantCard[];
  /** Stowaways expected to come in if all that is left goes as planned, if nothing more is done, and as it was before anything was. */
  readonly stowaways: { readonly planned: number; readonly now: number; readonly before: number };
  /** Plants that are ready and are sprayed again before they come in, with the day. */
  readonly again: readonly { readonly line: WinterLine; readonly on: Day }[];
  /** Plants that have come in already and are to be sprayed next. */
  readonly inside: readonly { readonly line: WinterLine; readonly on: Day }[];
  /** Where there is room for fewer than come in. */
  readonly roomMissing: number;
}

/** The weight of what has had its turn: before all others. */
const FIRST = 1000;

/** What runs of wintering, each out of its own place, with what it was read from. */
export interface WinteringNow {
  readonly places: readonly Place[];
  /** Places out of doors that stand in no other, and all that are within them. */
  readonly outdoorRoots: readonly Place[];
  readonly outside: ReadonlySet<string>;
  readonly programmes: readonly Wintering[];
}

/** The plants out of doors on their way in: what is done when, who is behind, and what that lets in. */
export async function winteringNow(context: Context, scope: Scope): Promise<WinteringNow> {
  const day = today(context);
  const [all, programmesOn] = await inParallel(
    scope,
    () => places.all(scope),
    () => programmesNow(scope),
  );
  const outdoorRoots = all.filter(({ kind, parentId }) => kind === "outdoors" && parentId === null);
  const within = (placeId: string) => around(all, placeId).within;
  const outside = new Set(outdoorRoots.flatMap(({ id }) => [...within(id)]));
  const running = ofKind(programmesOn, "wintering");
  const [paces, listed] =
    running.length > 0 ? [await ownPaces(scope), await plantStates.list(scope)] : ([{}, []] as const);
  const programmes: Wintering[] = [];
  for (const one of running) programmes.push(await programmeOf(one));
  return { places: all, outdoorRoots, outside, programmes };

  async function programmeOf({ placeId, begunOn, chosen }: Running<"wintering">): Promise<Wintering> {
    const from = within(placeId!);
    const to = within(chosen.toPlaceId);
    // Those that have come in are sprayed wherever they stand now.
    const stoodOutside = new Set(await placements.everAt(scope, [...from]));
    const rows = new Map(
      listed
        .filter((row) => from.has(row.placeId) || to.has(row.placeId) || stoodOutside.has(row.id))
        .map((row) => [row.id, row]),
    );
    const { records } = await recordsOf(scope, [...rows.keys()]);
    const risks = new Map((await carriage.risks(scope, [...rows.keys()])).map((one) => [one.plantId, one.risk ?? 0]));
    const beginsOn = later(winterBegin(chosen.moveOn, chosen.weeks), begunOn);
    const lineOf = (record: KeptRecord) => {
      const bearer = bearerOn(context, record, day);
      const plant: WinterPlant = {
        ...{ plantId: record.plant.id, bearer, prone: proneTo(record.plant.genus) },
        inCase: record.cases.some(({ open }) => open),
        remedy: chosen.remedy ?? "byKind",
      };
      const work = winterWork(plant);
      const line: WinterLine = {
        ...{ plant: cardOf(rows.get(record.plant.id)!, day), steps: winterSteps(plant), work, dry: noSoak(plant) },
        ...{ minutes: winterMinutes(work, bearer.potCm, paces), p: risks.get(record.plant.id) ?? 0 },
        against: work.flatMap(({ act }) => (act ? actObjections(act, bearer) : [])),
      };
      return { line, plant, put: winterPut(work), left: leftWhenReady(plant), record };
    };
    const treatedSince = (record: KeptRecord, since: Day, counts: (act: Act) => boolean) =>
      standing(record.acts)
        .filter((one) => one.plantId === record.plant.id && one.day >= since && counts(one.act))
        .map((one) => one.day);
    const waiting = records.filter(({ plant }) => from.has(rows.get(plant.id)!.placeId)).map(lineOf);
    const readied = ({ record, put }: (typeof waiting)[number], since: Day) =>
      treatedSince(record, since, (act) => makesReady(act, put));
    const prepared = waiting.filter((one) => readied(one, beginsOn).length > 0);
    const open = waiting.filter((one) => !prepared.includes(one));
    const evening = { minutes: chosen.minutes, helpers: chosen.helpers, dryingPots: chosen.dryingPots };
    const days = (begin: Day) => workDaysBetween(begin, addDays(chosen.moveOn, -1), context.collection.workDays);
    const batchPlants = (some: typeof waiting, first = 0) =>
      some.map(({ line, plant }) => ({
        ...{ plantId: plant.plantId, minutes: line.minutes, dries: !driesInPlace(plant) },
        weight: first + line.p + (plant.prone.length > 0 ? 0.01 : 0),
      }));
    // What was made ready today has had its part of this evening: nobody moves up for it.
    const begins = later(day, beginsOn);
    const readyToday = prepared.filter((one) => readied(one, day).includes(day));
    const had = days(begins)[0] === day ? readyToday : [];
    const plan = withoutThose(
      inBatches([...batchPlants(had, FIRST), ...batchPlants(open)], days(begins), evening),
      new Map(batchPlants(had).map((one) => [one.plantId, one])),
    );
    // As it would have been from the first evening on: who should have had their turn by now.
    const first = inBatches(batchPlants(waiting), days(beginsOn), evening);
    const due = new Set(first.batches.filter((batch) => batch.day < day).flatMap(({ plantIds }) => plantIds));
    const cardsOf = (ids: readonly string[]) =>
      ids.map((id) => waiting.find(({ plant }) => plant.plantId === id)!.line.plant);
    const sum = (some: typeof waiting, each: (one: (typeof waiting)[number]) => number) =>
      some.reduce((total, one) => total + each(one), 0);
    const leftOut = new Set(plan.left);
    const again = prepared.flatMap(({ line, put, record }) => {
      const last = put && treatedSince(record, beginsOn, sprays).toSorted().at(-1);
      const on = last ? nextOutside(last, chosen.moveOn) : null;
      return on ? [{ line, on }] : [];
    });
    const inside = records.flatMap((record) => {
      const { stays } = record;
      const now = stays.at(-1);
      const cameIn = stays[stays.findLastIndex(({ placeId }) => from.has(placeId)) + 1];
      if (!now || now.until !== null || outside.has(now.placeId) || !stoodOutside.has(record.plant.id) || !cameIn)
        return [];
      const came = dayOf(context, cameIn.from);
      if (came < begunOn) return [];
      const on = nextInside(came, treatedSince(record, came, sprays));
      return on ? [{ line: lineOf(record).line, on }] : [];
    });
    const target = all.find(({ id }) => id === chosen.toPlaceId);
    const there = listed.filter((row) => to.has(row.placeId)).length;
    return {
      ...{ placeId: placeId!, placeName: all.find(({ id }) => id === placeId)?.name ?? "" },
      ...{ begunOn, beginsOn, chosen, toName: target?.name ?? "" },
      plants: waiting.length,
      done: prepared.length,
      tonight: (plan.batches.find((batch) => batch.day === day)?.plantIds ?? []).map(
        (id) => waiting.find(({ plant }) => plant.plantId === id)!.line,
      ),
      open: open.map(({ line }) => line),
      begunToday: waiting
        .filter(({ record, line }) => treatedSince(record, day, (act) => isOf(act, line.work)).length > 0)
        .map(({ line }) => line),
      batches: plan.batches,
      left: cardsOf(plan.left),
      behind: cardsOf(open.filter(({ plant }) => due.has(plant.plantId)).map(({ plant }) => plant.plantId)),
      stowaways: {
        before: sum(waiting, ({ line }) => line.p),
        now: sum(prepared, ({ line, left }) => line.p * left) + sum(open, ({ line }) => line.p),
        planned: sum(waiting, ({ line, left, plant }) => line.p * (leftOut.has(plant.plantId) ? 1 : left)),
      },
      again: again.toSorted(bySoonest),
      inside: inside.toSorted(bySoonest),
      roomMissing:
        target === undefined || target.roomFor === null ? 0 : Math.max(0, there + waiting.length - target.roomFor),
    };
  }
}

/** Whether an act is one of those that make a plant ready. */
const isOf = (act: Act, work: readonly WinterWork[]) =>
  work.some((one) => one.act !== null && one.act.kind === act.kind && workIn(one.act) === workIn(act));
const bySoonest = (a: { readonly on: Day }, b: { readonly on: Day }) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0);
const later = (a: Day, b: Day) => (a > b ? a : b);
