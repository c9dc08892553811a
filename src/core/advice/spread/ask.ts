import { cleanLookIn, eventsOfAct } from "../../acts/acts";
import type { Arrival, CarriageQuestion, Remains } from "../../model/carriage/carriage";
import type { FirstFind } from "../../model/carriage/origin";
import { COLONY_MEAN, cuttingShare, LOOK_BACK_DAYS, RESIDENT_SHARE } from "../../model/carriage/rates";
import type { Case } from "../../record/cases/cases";
import { isOutsideModel } from "../../record/cases/outsideModel";
import { inspectionsOn } from "../../record/cases/inspections";
import type { Stand } from "../../record/cases/stays";
import type { WarmthBetween } from "../../record/cases/warmth";
import { addDays, dayNumber, type Day } from "../../shared/days";
import { priorsFor, seasonOf, USUAL_C, type Hemisphere, type Priors } from "../diagnosis/priors";
import { standing, type ActDone, type Look } from "../../record/facts/facts";
import type { Plant } from "../../record/facts/descriptions";
import { animalsIn } from "../../model/inspection/severity";
import { marksNewLeaves, unmarked } from "../../model/inspection/newGrowth";
import { ONE_SIDE, seeChances, type Search } from "../../model/inspection/see";
import { sitesOn } from "../../model/inspection/sitesOn";
import { pestIds, pestOf, type PestId } from "../../knowledge/pests/pests";
import { proneTo } from "../../knowledge/plants/care";
import { spotsOf } from "../../knowledge/plants/growthForms";
import type { PopulationEvent } from "../../model/population/events";
import type { PerSite } from "../../model/population/sites";
import { remember } from "../../shared/remember";
import type { StoodAt } from "./contacts";
import { backgroundOf, handled, sourcesNear, TIME_STEP_DAYS, type Route } from "./streams";
import { stoodAt, type CameFrom, type Clock, type Spread } from "./record";

/** One plant as it is asked about. */
export interface AskedPlant {
  readonly plant: Plant;
  readonly stands: readonly Stand[];
  readonly looks: readonly Look[];
  /** Done to it, or to a place while it stood there. */
  readonly acts: readonly ActDone[];
  readonly cases: readonly Case[];
  readonly warmth: WarmthBetween;
}

export interface Asked {
  readonly pest: PestId;
  readonly question: CarriageQuestion;
  /** The arrival first, then the streams of the question in their order. */
  readonly routes: readonly Route[];
}

/** What is left out of the distant past changes a chance by less than a thousandth of itself. */
const MAY_MISS = 1e-3;

/**
 * What is asked of a plant: for each pest of which no case is open at that time, what it may carry unseen at `until` (days of
 * the clock). Looks and acts from then on are left out. `looks` are those that might be made then.
 */
export function askAll(
  asked: AskedPlant,
  spread: Spread,
  until: number,
  hemisphere: Hemisphere,
  looks: readonly Search[] = [],
): Asked[] {
  const priors = arrivalPriors(asked, spread, hemisphere);
  const timed = timedPlant(asked, spread.clock, until);
  return pestIds
    .filter((pest) => !runsAt(asked.cases, pest, until, spread.clock))
    .map((pest) => askOf(timed, pest, spread, until, priors, looks));
}

/** A look, and under which key what it shows is kept. */
interface TimedLook {
  readonly at: number;
  readonly look: Look;
  readonly how: string;
}

/** A plant with its times on the clock, for all pests that are asked about. */
interface TimedPlant extends AskedPlant {
  readonly stood: readonly StoodAt[];
  /** When it was written down, or first looked at if that was before. */
  readonly written: number;
  readonly timedLooks: readonly TimedLook[];
  readonly timedActs: readonly { readonly at: number; readonly act: ActDone["act"] }[];
  /** Mean temperatures from day `warmFrom` on. */
  readonly warmFrom: number;
  readonly dailyMeanC: readonly number[];
}

function timedPlant(asked: AskedPlant, clock: Clock, until: number): TimedPlant {
  const counts = (fact: Look | ActDone) => !isOutsideModel(fact);
  const before = <T extends { readonly at: number }>(all: readonly T[]) => all.filter(({ at }) => at < until);
  const looked = standing(inspectionsOn(asked))
    .filter(counts)
    .map((look) => ({ at: clock(look.at), look, how: keyOf(look, look.turned ? 1 : ONE_SIDE) }));
  const warmFrom = Math.floor(until - LOOK_BACK_DAYS);
  const warmth = asked.warmth(dayAt(warmFrom), dayAt(Math.max(warmFrom, Math.ceil(until) - 1)));
  return {
    ...asked,
    stood: stoodAt(asked.stands, clock),
    written: looked.reduce((first, { at }) => Math.min(first, at), dayNumber(asked.plant.addedOn)),
    timedLooks: before(looked),
    timedActs: before(
      standing(asked.acts)
        .filter(counts)
        // One that found nothing is among the looks.
        .filter(({ act }) => cleanLookIn(act) === null)
        .map(({ act, at }) => ({ at: clock(at), act })),
    ),
    warmFrom,
    dailyMeanC: warmth.length > 0 ? warmth : [USUAL_C],
  };
}

const dayAt = (number: number): Day => addDays("1970-01-01" as Day, number);

/** Whether a case of a pest was open just before a time. */
function runsAt(cases: readonly Case[], pest: PestId, until: number, clock: Clock): boolean {
  return cases.some(
    (one) =>
      one.pest === pest && clock(one.openedAt) < until && (one.closing === null || clock(one.closing.at) >= until),
  );
}

/** Of a case: what was asked before its first find, and what that look could see and saw. */
export interface AskedOrigin {
  readonly before: Asked;
  readonly find: FirstFind;
}

/** What is asked of a case to tell where it came from; null for one whose first find is not among the looks. */
export function askOrigin(
  asked: AskedPlant,
  { pest, openedAt }: Pick<Case, "pest" | "openedAt">,
  spread: Spread,
  hemisphere: Hemisphere,
): AskedOrigin | null {
  const until = spread.clock(openedAt);
  const timed = timedPlant(asked, spread.clock, until);
  const found = standing(asked.looks).find(
    ({ at, finds }) => +at === +openedAt && finds.some((find) => find.pest === pest),
  );
  if (!found) return null;
  const sides = found.turned ? 1 : ONE_SIDE;
  return {
    before: askOf(timed, pest, spread, until, arrivalPriors(asked, spread, hemisphere), []),
    find: {
      see: seenBy(asked, pest, keyOf(found, sides), found, sides),
      found: animalsIn(found.finds.find((find) => find.pest === pest)!),
    },
  };
}

function askOf(
  asked: TimedPlant,
  pest: PestId,
  spread: Spread,
  until: number,
  priors: Priors,
  looks: readonly Search[],
): Asked {
  const { plant, stood } = asked;
  const begin = beginning(asked, pest, spread, until, priors);
  const zeroDay = Math.floor(begin.at);
  const form = plant.growthForm;
  const streams = [
    ...backgroundOf(pest, stood, spread, begin.at, until),
    ...sourcesNear(asked, pest, spread, stood, begin.at, until),
    ...handled(asked, pest, spread, begin.at, until),
  ];
  const warmSince = Math.min(Math.max(0, zeroDay - asked.warmFrom), asked.dailyMeanC.length - 1);
  return {
    pest,
    routes: [{ kind: begin.by, plantId: null, code: null, nearness: null }, ...streams.map(({ route }) => route)],
    question: {
      pest: pestOf(pest),
      sites: sitesOn(form, pest),
      dailyMeanC: asked.dailyMeanC.slice(warmSince),
      timeStepDays: TIME_STEP_DAYS,
      mayMiss: MAY_MISS,
      fromDays: begin.at - zeroDay,
      arrival: begin.colony,
      streams: streams.map(({ stream }) => ({
        ...stream,
        fromDays: stream.fromDays - zeroDay,
        untilDays: stream.untilDays - zeroDay,
      })),
      events: eventsSince(asked, pest, begin.at).map(({ at, event }) => shifted(event, at - zeroDay)),
      looks: looks.map((search) => seenBy(asked, pest, keyOf(search, 1), search, 1)),
      asOfDays: until - zeroDay,
    },
  };
}

/** When what is asked about begins, and what it may have carried then. */
interface Beginning {
  readonly at: number;
  readonly colony: Arrival | Remains;
  readonly by: "arrival" | "mother" | "resident" | "remained";
}

function beginning(
  { plant, cases, written }: TimedPlant,
  pest: PestId,
  { clock, arrivalShareOf, sourcesOf }: Spread,
  until: number,
  priors: Priors,
): Beginning {
  const usual = (share: number): Arrival => ({ share, mean: COLONY_MEAN });
  const oldest = until - LOOK_BACK_DAYS;
  const last = cases.findLast((one) => one.pest === pest && one.closing !== null && clock(one.closing.at) < until);
  if (last?.closing && clock(last.closing.at) >= oldest) {
    const { outcome, pClear } = last.closing;
    // Those that are left are those that could hide: few, and where nothing reaches.
    const left = sourcesOf(pest).find(({ caseId }) => caseId === last.id)?.left;
    const colony = left ?? usual(pClear === null ? UNRECKONED_REMAINS[outcome] : 1 - pClear);
    return { at: clock(last.closing.at), colony, by: "remained" };
  }
  const share = priors[pest] / pestIds.reduce((sum, one) => sum + priors[one], 0);
  // A cutting of which nobody said when it was cut came when it was written down.
  const came = plant.acquiredOn ?? (plant.motherId ? plant.addedOn : null);
  const cameOn = came === null ? null : dayNumber(came);
  if (plant.motherId && cameOn !== null && cameOn >= oldest && cameOn < until) {
    // The case that ran on its mother that day, or was found there soon after.
    const running = sourcesOf(pest).filter((source) => source.plantId === plant.motherId);
    const animals = Math.max(0, ...running.map((source) => source.animalsOn(cameOn)));
    return { at: cameOn, colony: usual(cuttingShare(pest, plant.inherits?.[pest] ?? 0, animals)), by: "mother" };
  }
  if (cameOn !== null && cameOn >= oldest && cameOn < until) {
    return { at: cameOn, colony: usual(share * arrivalShareOf(cameFromOf(plant))), by: "arrival" };
  }
  // Of one that has long been here the record begins when it was written down, or first looked at.
  const at = Math.max(oldest, Math.min(written, until));
  return { at, colony: usual(share * RESIDENT_SHARE), by: "resident" };
}

/** What remains where nothing was reckoned when a case was closed (HOUSE). */
const UNRECKONED_REMAINS = { clear: 0.05, givenUp: 0.9, lost: 0.9 } as const;

function cameFromOf({ id, seller, acquiredOn, addedOn }: Plant): CameFrom {
  return { plantId: id, seller, acquiredOn, cameOn: acquiredOn ?? addedOn, shown: [] };
}

/** How likely each pest was when the plant came: those that the seller's other plants showed count more. */
function arrivalPriors({ plant, warmth }: AskedPlant, spread: Spread, hemisphere: Hemisphere): Priors {
  const came = cameFromOf(plant);
  const [meanC = USUAL_C] = warmth(came.cameOn, came.cameOn);
  return priorsFor({
    form: plant.growthForm,
    meanC,
    season: seasonOf(Number(came.cameOn.slice(5, 7)), hemisphere),
    prone: proneTo(plant.genus),
    nearby: Object.fromEntries(spread.sellersPests(came).map((pest) => [pest, "seller"])),
  });
}

interface Dated {
  readonly at: number;
  readonly event: PopulationEvent;
}

/** Looks, all of them clean of this pest, and what was done, as events at time 0 with their time beside them. */
function eventsSince(asked: TimedPlant, pest: PestId, begin: number): Dated[] {
  const looked = asked.timedLooks
    .filter(({ at, look }) => at >= begin && !look.finds.some((find) => find.pest === pest))
    .flatMap((timed) => cleanLook(asked, timed, pest).map((event): Dated => ({ at: timed.at, event })));
  const target = { pest: pestOf(pest), weights: pest, form: asked.plant.growthForm };
  const done = asked.timedActs
    .flatMap(({ act, at }) => eventsOfAct(act, target, 0).map((event): Dated => ({ at, event })))
    .flatMap(({ at, event }): Dated[] => {
      if (at >= begin) return [{ at, event }];
      // What was done before and still goes on begins here.
      return event.kind === "lasting" && at + event.untilDays > begin
        ? [{ at: begin, event: { ...event, untilDays: event.untilDays - (begin - at) } }]
        : [];
    });
  return [...looked, ...done].toSorted((a, b) => a.at - b.at);
}

function shifted(event: PopulationEvent, by: number): PopulationEvent {
  const atDays = event.atDays + by;
  return event.kind === "lasting" ? { ...event, atDays, untilDays: event.untilDays + by } : { ...event, atDays };
}

/** A clean look, and before it what clean new leaves have told. */
function cleanLook(asked: TimedPlant, { look, how }: TimedLook, pest: PestId): PopulationEvent[] {
  const clean = (see: readonly PerSite[]): PopulationEvent => ({
    kind: "inspection",
    atDays: 0,
    found: 0,
    removed: false,
    see,
  });
  const own = clean(seenBy(asked, pest, how, look, look.turned ? 1 : ONE_SIDE));
  if (look.newLeaves === null || !marksNewLeaves(pest)) return [own];
  return [clean(unmarked(pestOf(pest), look.newLeaves)), own];
}

/** What is looked with, where and from how many sides, as a key. */
const keyOf = ({ tool, spots }: Search, sides: number) => `${tool} ${sides} ${spots.join()}`;

/** Kinds of plants times ways to look at them: more than most collections have. */
const MOST_KEPT = 5000;
const seen = new Map<string, readonly PerSite[]>();

/** For each stage the chance that one is seen, of a plant of which so much was turned into view. Reckoned once for each `how`. */
function seenBy(
  { plant: { growthForm } }: AskedPlant,
  pest: PestId,
  how: string,
  { tool, spots }: Search,
  sides: number,
): readonly PerSite[] {
  return remember(seen, MOST_KEPT, `${pest} ${growthForm} ${how}`, () => {
    const there = spotsOf(growthForm);
    const search = { tool, spots: spots.filter((spot) => there.includes(spot)) };
    return seeChances(pestOf(pest), pest, growthForm, search).map(
      ([open, sheltered, deep]) => [open * sides, sheltered * sides, deep * sides] as const,
    );
  });
}
