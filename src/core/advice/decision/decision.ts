import { costsOfAct, eventsOfAct } from "../../acts/acts";
import { applicationEvents } from "../../acts/contact";
import type { ActEvent, Conditions } from "../../acts/kind";
import { catching, movingOf } from "../../model/carriage/onward";
import { cuttingShare, type NearnessId } from "../../model/carriage/rates";
import type { ToolId } from "../../model/inspection/tools";
import { severityOf, type SeverityId } from "../../model/inspection/severity";
import { isKnownPest, pestOf, type PestId } from "../../knowledge/pests/pests";
import { isCut } from "../../knowledge/plants/growthForms";
import type { PlantValue } from "../../knowledge/plants/plantValue";
import { restsDry, type TreatedPlant } from "../tolerance/treatedPlant";
import { blitzDoses, blitzHands, handAct, type Hand } from "./blitz";
import { HOPELESS } from "../planning/compare";
import { volumeOfDose, type Dose } from "../planning/doses";
import type { ComingAct, ComingDose } from "../planning/future";
import { LOST_AT_REST, LOST_IN_GROWTH } from "./outOfSeason";
import { pictureOf } from "../planning/picture";
import { endOf } from "../planning/score";
import { looksAfterCourse } from "../planning/looks";
import { comingOf, datedOf, effortOf, type Schedule, type SearchRequest } from "../planning/search";
import { washesOf } from "../planning/stress";

/** What can be done first about a plant on which something was found; setting it apart goes before each of them. */
export const firstWays = ["squash", "programme", "blitz", "unpot", "cutting", "outdoors", "giveUp"] as const;
export type FirstWay = (typeof firstWays)[number];

/** The ways are compared at least so far ahead, days. */
const HORIZON_DAYS = 60;
const WEEK = 7;
/** Of what is done once a week so many are tried. */
const MOST_WEEKS = 8;

/** What a plant is worth, in plants that can be replaced (HOUSE). */
const worthOf: Readonly<Record<PlantValue, number>> = { replaceable: 1, dear: 4, irreplaceable: 20 };
/** What an hour of work is worth, in such plants (HOUSE). */
const HOUR = 0.5;
/** A light case on a plant beside it costs so much work, minutes (HOUSE). */
const LIGHT_CASE_MINUTES = 90;
/** What the pest itself costs of plants on which it is still there at the end, by what was found (HOUSE). */
const lostBy: Readonly<Record<SeverityId, number>> = {
  trace: 0.02,
  light: 0.02,
  patch: 0.02,
  heavy: 0.1,
  overrun: 0.3,
};
/** What is lost of a plant by what is done to it, whatever becomes of the pest (HOUSE). */
const CUT_OFF = 0.1;
/** A young plant is what is left, if it roots. */
const CUTTING = 0.65;
const OUTSIDE = 0.05;
/** A soap wash of the whole plant takes so much out of it (HOUSE). */
const A_WASH = 0.004;
/** Outdoors enemies, rain and wind take so many a day of what moves in the open (HOUSE). */
const OUTSIDE_HAZARD = 0.04;
/** Minutes to carry a plant out and in again, and to bag and bin one (HOUSE). */
const CARRY_MINUTES = 15;
const BIN_MINUTES = 10;
/** To take a cutting, look it over and wash it, beside binning the rest. */
const CUT_MINUTES = 20;
/** Where clean looks are hardly to be had the work has no end: it is told as this many times over at most. */
const MOST_TIMES = 20;

/** What a way comes to. */
export interface FirstChoice {
  readonly way: FirstWay;
  /** The chance that the looks after it are clean, and how sure they then make it. */
  readonly pClean: number;
  readonly sure: number;
  /** The day of the last of them, since day 0. */
  readonly clearDay: number;
  /** Of treatments and looks, once; and expected until it may be called clear. */
  readonly minutes: number;
  readonly expectedMinutes: number;
  readonly volumeMl: number;
  /** Plants beside it that are expected to catch it meanwhile. */
  readonly neighbours: number;
  /** The share of the plant that is lost by what is done, 0–1; 1 where it is given up. */
  readonly harm: number;
  /** The chance that the pest costs the plant. */
  readonly pLost: number;
  /** All of it together, in plants that can be replaced; the least is proposed. */
  readonly costs: Readonly<Record<"work" | "neighbours" | "harm" | "lost", number>>;
  readonly cost: number;
}

export interface Decision {
  /** The cheapest first; giving up stands last where it is not proposed. */
  readonly choices: readonly FirstChoice[];
  /** Of the first against the second, which of the four weighs most; null where there is only one. */
  readonly because: keyof FirstChoice["costs"] | null;
  /** Ways that cannot be gone now, and why. */
  readonly closed: readonly { readonly way: FirstWay; readonly why: "tooCold" | "noPot" | "noCuttings" | "rests" }[];
}

export interface DecisionRequest extends SearchRequest {
  readonly bearer: TreatedPlant;
  readonly tool: ToolId;
  readonly now?: Conditions;
  readonly worth: PlantValue;
  /** Live animals found last. */
  readonly found: number;
  /** The plants beside it once it stands where it will, by how near. */
  readonly neighbours: Readonly<Partial<Record<NearnessId, number>>>;
  /** The best schedule of all approaches; null where the plant bears none. */
  readonly programme: Schedule | null;
  /** Whether plants may stand outside now. */
  readonly warmOutside: boolean;
}

/** Something done on a day by one of the ways. */
interface Done {
  readonly day: number;
  readonly does: ComingDose["dose"];
  readonly minutes: number;
  readonly volumeMl?: number;
}

/**
 * The first decision after a find: what each way comes to, weighed into one order. Expected losses are told in plants that can be
 * replaced: the work until it may be called clear, a light case for each plant beside it that is expected to catch it, what the plant
 * loses by what is done, and the plant itself where the pest costs it. That it is still there is work left, not a dead plant.
 * Throws RangeError for a pest that hides in no place that is known.
 * Source: the model for chances and for what neighbours catch; the weights are our own (HOUSE).
 */
export function decide(request: DecisionRequest): Decision {
  const { scorer, bearer, worth, programme, fromDay, found } = request;
  const { form } = bearer;
  const pestId = scorer.reckoning.timeline.layout.pest.id;
  if (!isKnownPest(pestId)) throw new RangeError(`nothing is known of where ${pestId} hides`);
  const hands = handsOn(pestId, request);
  const rests = restsDry(bearer);
  const weekly = (does: ComingAct, minutes: number, times: number): Done[] =>
    Array.from({ length: times }, (_, n) => ({ day: fromDay + n * WEEK, does, minutes }));
  /** So many weeks of something as take least work. */
  const weeks = (way: FirstWay, does: ComingAct, minutes: number, more: Omit<Told, "done"> & { before?: Done[] }) =>
    Array.from({ length: MOST_WEEKS }, (_, n) =>
      choiceOf(way, request, pestId, {
        ...more,
        done: [...(more.before ?? []), ...weekly(does, minutes, n + 1)],
      }),
    ).toSorted((a, b) => a.cost - b.cost)[0]!;

  const choices: FirstChoice[] = [weeks("squash", hands.pickOff, hands.minutes("pickOff"), { harm: 0 })];
  if (programme) choices.push(programmeChoice(programme, request, pestId));
  if (form !== "airPlant") {
    // What rests dry stays dry after it, until spring.
    const washes: readonly Hand[] = rests ? ["unpot"] : ["unpot", "shower"];
    const before = washes.map((hand): Done => ({ day: fromDay, does: hands[hand], minutes: hands.minutes(hand) }));
    const harm = rests ? LOST_AT_REST : LOST_IN_GROWTH + A_WASH;
    choices.push(weeks("unpot", hands.pickOff, hands.minutes("pickOff"), { harm, before }));
  }
  if (!rests) choices.push(blitz(request, pestId, hands));
  if (isCut(form)) choices.push(cutting(request, pestId));
  if (request.warmOutside) {
    const outside = { events: [...hands.shower.events, ...outdoors(pestId)] };
    choices.push(
      weeks("outdoors", outside, hands.minutes("shower"), {
        harm: OUTSIDE,
        extraMinutes: CARRY_MINUTES,
        amongOthers: 0,
      }),
    );
  }
  const sorted = choices.toSorted((a, b) => a.cost - b.cost);
  const up = weighed("giveUp", worth, {
    ...{ pClean: 1, sure: 1, clearDay: fromDay, minutes: BIN_MINUTES, expectedMinutes: BIN_MINUTES },
    ...{ volumeMl: 0, neighbours: 0, harm: 1, pLost: 0 },
  });
  const hopeless = choices.every(({ pClean, sure }) => pClean < HOPELESS || sure < request.target);
  const overrun = found > 0 && severityOf(Math.max(1, Math.round(found))) === "overrun";
  const mayPropose = worth === "replaceable" && (overrun || hopeless);
  const all = mayPropose ? [...sorted, up].toSorted((a, b) => a.cost - b.cost) : [...sorted, up];
  return {
    choices: all,
    because: reasonOf(all),
    closed: [
      ...(form === "airPlant" ? [{ way: "unpot", why: "noPot" } as const] : []),
      ...(rests ? [{ way: "blitz", why: "rests" } as const] : []),
      ...(isCut(form) ? [] : [{ way: "cutting", why: "noCuttings" } as const]),
      ...(request.warmOutside ? [] : [{ way: "outdoors", why: "tooCold" } as const]),
    ],
  };
}

/** What hands and water do to this plant, as the model takes it, and what it takes. */
function handsOn(pestId: PestId, { bearer: { form, potCm }, tool }: Pick<DecisionRequest, "bearer" | "tool">) {
  const target = { pest: pestOf(pestId), weights: pestId, form };
  const does = (way: Hand) => ({ events: eventsOfAct(handAct(way, form, tool), target, 0) });
  return {
    pickOff: does("pickOff"),
    unpot: does("unpot"),
    shower: does("shower"),
    prune: does("prune"),
    minutes: (way: Hand) => costsOfAct(handAct(way, form, tool), potCm).minutes,
  };
}

/** Everything in one day: picked off, cut back, unpotted and washed, swabbed and sprayed; and a week later swabbed once more. */
function blitz(request: DecisionRequest, pestId: PestId, hands: ReturnType<typeof handsOn>): FirstChoice {
  const { fromDay, bearer } = request;
  const { form } = bearer;
  const doses = blitzDoses(bearer);
  const swabs = doses.slice(0, 1);
  const events = (given: readonly Dose[]): readonly ActEvent[] =>
    comingOf(
      given.map((dose) => ({ day: fromDay, dose })),
      request,
    ).flatMap(({ dose }) => ("events" in dose ? dose.events : applicationEvents(pestOf(pestId), dose, 0)));
  const ways = blitzHands(form);
  const first: ComingAct = { events: [...ways.flatMap((way) => hands[way].events), ...events(doses)] };
  const again: ComingAct = { events: events(swabs) };
  const minutesOf = (given: readonly Dose[]) =>
    effortOf(
      given.map((dose) => ({ day: fromDay, dose })),
      0,
      request,
    ).minutes;
  const volumeOf = (given: readonly Dose[]) => given.reduce((sum, dose) => sum + volumeOfDose(dose, bearer), 0);
  const inOne = ways.reduce((sum, way) => sum + hands.minutes(way), 0) + minutesOf(doses);
  const washes = doses.reduce((sum, dose) => sum + washesOf(dose), 0);
  const done = (times: number): Done[] => [
    { day: fromDay, does: first, minutes: inOne, volumeMl: volumeOf(doses) },
    ...Array.from({ length: times }, (_, n): Done => ({
      ...{ day: fromDay + (n + 1) * WEEK, does: again, minutes: minutesOf(swabs), volumeMl: volumeOf(swabs) },
    })),
  ];
  const unpotted = ways.includes("unpot") ? LOST_IN_GROWTH : 0;
  const harm = unpotted + (ways.includes("prune") ? CUT_OFF : 0) + A_WASH * washes;
  const eachWeek = swabs.reduce((sum, dose) => sum + A_WASH * washesOf(dose), 0);
  return (swabs.length > 0 ? [0, 1, 2, 3] : [0])
    .map((times) => choiceOf("blitz", request, pestId, { done: done(times), harm: harm + times * eachWeek }))
    .toSorted((a, b) => a.cost - b.cost)[0]!;
}

function programmeChoice(schedule: Schedule, request: DecisionRequest, pest: PestId): FirstChoice {
  const dated = datedOf(schedule);
  const coming = comingOf(dated, request);
  const { burden } = effortOf(dated, 0, request);
  const done = dated.map(({ day, dose }, i): Done => ({
    ...{ day, does: coming[i]!.dose, minutes: effortOf([{ day, dose }], 0, request).minutes },
    volumeMl: volumeOfDose(dose, request.bearer),
  }));
  return choiceOf("programme", request, pest, { done, harm: Math.min(0.2, A_WASH * burden) });
}

function cutting(request: DecisionRequest, pest: PestId): FirstChoice {
  const { scorer, fromDay, worth, looks } = request;
  const now = pictureOf(scorer.reckoning, [], fromDay).days.findLast(({ day }) => day <= fromDay);
  const animals = now?.expected.reduce((sum, n) => sum + n, 0) ?? 0;
  const pClean = 1 - cuttingShare(pest, 0, animals);
  const minutes = CUT_MINUTES + BIN_MINUTES + 2 * looks.minutes;
  return weighed("cutting", worth, {
    ...{ pClean, sure: 1, clearDay: fromDay + 2 * WEEK, minutes, expectedMinutes: minutes / Math.max(pClean, 0.05) },
    ...{ volumeMl: 0, neighbours: 0, harm: CUTTING, pLost: 0 },
  });
}

/** What is told of a way beside what is done. */
interface Told {
  readonly done: readonly Done[];
  readonly harm: number;
  readonly extraMinutes?: number;
  /** 0 where none of the others is near. */
  readonly amongOthers?: 0 | 1;
}

function choiceOf(
  way: FirstWay,
  request: DecisionRequest,
  pest: PestId,
  { done, harm, extraMinutes = 0, amongOthers = 1 }: Told,
): FirstChoice {
  const { scorer, fromDay, worth, looks: how, found, target } = request;
  const coming = done.map(({ day, does }): ComingDose => ({ atDays: day, dose: does }));
  const last = Math.max(fromDay, ...done.map(({ day }) => day));
  const { looks, pClean, sure, reaches } = looksAfterCourse(coming, last, request);
  const end = Math.max(fromDay + HORIZON_DAYS, endOf(scorer, looks.at(-1)!));
  const minutes = done.reduce((sum, one) => sum + one.minutes, extraMinutes + looks.length * how.minutes);
  // Looks that do not make it sure are begun again like looks that find something.
  const gets = reaches ? pClean : pClean * Math.min(1, sure / target);
  const severity = severityOf(Math.max(1, Math.round(found)));
  return weighed(way, worth, {
    ...{ pClean, sure, clearDay: looks.at(-1)!, minutes },
    expectedMinutes: minutes * Math.min(MOST_TIMES, 1 / Math.max(gets, 1e-9)),
    volumeMl: done.reduce((sum, { volumeMl = 0 }) => sum + volumeMl, 0),
    neighbours: amongOthers * caughtBy(request, pest, coming, end),
    harm,
    pLost: (1 - gets) * lostBy[severity],
  });
}

/** Enemies and weather, a week of them: what moves in the open dies at a daily rate. */
function outdoors(pestId: PestId) {
  const dailyHazard = pestOf(pestId).stages.map(({ mobile, where }) =>
    mobile && where === "foliage" ? OUTSIDE_HAZARD : 0,
  );
  return [{ kind: "lasting", atDays: 0, untilDays: WEEK, effect: { dailyHazard, layFactor: 1 } } as const];
}

/** Plants beside it that are expected to catch it: each by the animals that move, day by day. */
function caughtBy(
  { scorer, neighbours, fromDay }: DecisionRequest,
  pest: PestId,
  coming: readonly ComingDose[],
  end: number,
): number {
  if (Object.values(neighbours).every((n) => n === 0)) return 0;
  const mobile = pestOf(pest).stages.map((stage) => stage.mobile);
  const movingDays = pictureOf(scorer.reckoning, coming, end)
    .days.filter(({ day }) => day >= fromDay)
    .reduce((sum, { expected }) => {
      const all = expected.reduce((a, n) => a + n, 0);
      const moving = expected.reduce((a, n, stage) => a + (mobile[stage] ? n : 0), 0);
      return sum + movingOf(all, moving);
    }, 0);
  return catching(pest, movingDays, neighbours);
}

function weighed(way: FirstWay, worth: PlantValue, of: Omit<FirstChoice, "way" | "costs" | "cost">): FirstChoice {
  const plant = worthOf[worth];
  const hours = (minutes: number) => (HOUR * minutes) / 60;
  const costs = {
    work: hours(of.expectedMinutes),
    neighbours: of.neighbours * hours(LIGHT_CASE_MINUTES),
    harm: of.harm * plant,
    lost: of.pLost * plant,
  };
  return { way, ...of, costs, cost: costs.work + costs.neighbours + costs.harm + costs.lost };
}

/** What of the second way costs most beside the first. */
function reasonOf([first, second]: readonly FirstChoice[]): Decision["because"] {
  if (!first || !second) return null;
  const more = (Object.keys(first.costs) as (keyof FirstChoice["costs"])[]).map((name) => ({
    name,
    more: second.costs[name] - first.costs[name],
  }));
  return more.toSorted((a, b) => b.more - a.more)[0]!.name;
}
