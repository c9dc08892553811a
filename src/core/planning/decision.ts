import { costsOfAct, eventsOfAct, type Act } from "../acts/acts";
import { cuttingShare, perAnimalAt, type NearnessId } from "../carriage/rates";
import type { ToolId } from "../inspection/tools";
import { expm1 } from "../numerics/exponential";
import { isKnownPest, pestOf, type PestId } from "../pests/pests";
import { isCut, spotsOf, type GrowthFormId } from "../plants/growthForms";
import type { Worth } from "../plants/worth";
import { minutesOfDose, volumeOfDose } from "./doses";
import type { ComingDose } from "./future";
import { LOST_AT_REST, LOST_IN_GROWTH } from "./outOfSeason";
import { pictureOf } from "./picture";
import { comingOf, type Schedule, type SearchRequest } from "./search";

/** What can be done first about a plant on which something was found. */
export const firstWays = ["squash", "programme", "unpot", "cutting", "outdoors", "giveUp"] as const;
export type FirstWay = (typeof firstWays)[number];

/** How far ahead the ways are compared, days. */
const HORIZON_DAYS = 60;
const WEEK = 7;

/** What a plant is worth, in plants that can be replaced (HOUSE). */
const worthOf: Readonly<Record<Worth, number>> = { replaceable: 1, dear: 4, irreplaceable: 20 };
/** What an hour of work is worth, in such plants (HOUSE). */
const HOUR = 0.5;
/** What is lost of a plant that still has it after all that time: it is given up then, or the work begins anew (HOUSE). */
const NOT_OVER = 1;
/** What is lost of a plant by what is done to it, whatever becomes of the pest (HOUSE). */
const harms: Readonly<Record<Exclude<FirstWay, "giveUp" | "programme">, number>> = {
  squash: 0,
  unpot: LOST_IN_GROWTH,
  // A young plant is what is left, if it roots.
  cutting: 0.65,
  outdoors: 0.05,
};
/** A soap wash of the whole plant takes so much out of it (HOUSE). */
const A_WASH = 0.004;
/** Outdoors enemies, rain and wind take so many a day of what moves in the open (HOUSE). */
const OUTSIDE_HAZARD = 0.04;
/** Minutes to carry a plant out and in again, and to bag and bin one (HOUSE). */
const CARRY_MINUTES = 15;
const BIN_MINUTES = 10;
/** To take a cutting, look it over and wash it, beside binning the rest. */
const CUT_MINUTES = 20;

/** What a way comes to. */
export interface FirstChoice {
  readonly way: FirstWay;
  /** The chance that it is over within the horizon. */
  readonly pOver: number;
  readonly minutes: number;
  readonly volumeMl: number;
  /** Plants beside it that are expected to catch it meanwhile. */
  readonly neighbours: number;
  /** The share of the plant that is lost by it, 0–1; 1 where it is given up. */
  readonly harm: number;
  /** All of it together, in plants that can be replaced; the least is proposed. */
  readonly costs: Readonly<Record<"work" | "neighbours" | "harm" | "notOver", number>>;
  readonly cost: number;
}

export interface Decision {
  /** The cheapest first. */
  readonly choices: readonly FirstChoice[];
  /** Of the first against the second, which of the four weighs most; null where there is only one. */
  readonly because: keyof FirstChoice["costs"] | null;
  /** Ways that cannot be gone now, and why. */
  readonly closed: readonly { readonly way: FirstWay; readonly why: "tooCold" | "noPot" | "noCuttings" }[];
}

export interface DecisionRequest extends SearchRequest {
  readonly form: GrowthFormId;
  readonly potCm: number;
  readonly tool: ToolId;
  readonly worth: Worth;
  /** The plants beside it, by how near they stand. */
  readonly neighbours: Readonly<Partial<Record<NearnessId, number>>>;
  /** The best schedule of all approaches; null where the plant bears none. */
  readonly programme: { readonly schedule: Schedule; readonly burden: number } | null;
  /** Whether plants may stand outside now, and whether this one rests. */
  readonly warmOutside: boolean;
  readonly resting: boolean;
}

/**
 * The first decision after a find: what each way comes to within sixty days, weighed into one order. Expected losses are told in
 * plants that can be replaced: the hours, what the plants beside it are expected to catch meanwhile, what the plant suffers, and the
 * plant itself where the pest is still there. Throws RangeError for a pest that hides in no place that is known.
 * Source: the model for chances and for what neighbours catch; the weights are our own (HOUSE).
 */
export function decide(request: DecisionRequest): Decision {
  const { scorer, form, potCm, tool, worth, programme, fromDay } = request;
  const pestId = scorer.reckoning.timeline.layout.pest.id;
  if (!isKnownPest(pestId)) throw new RangeError(`nothing is known of where ${pestId} hides`);
  const end = fromDay + HORIZON_DAYS;
  const target = { pest: pestOf(pestId), weights: pestId, form };
  const by = (way: "pickOff" | "unpot" | "shower") => {
    const where = { percent: null, spots: [...spotsOf(form)] };
    const tools = { pickOff: tool, unpot: "unpotted", shower: null } as const;
    const act: Act = { kind: "mechanical", way, tool: tools[way], ...where };
    return { does: { events: eventsOfAct(act, target, 0) }, minutes: costsOfAct(act, potCm).minutes };
  };
  const weekly = (does: ComingDose["dose"]): ComingDose[] =>
    Array.from({ length: Math.floor(HORIZON_DAYS / WEEK) + 1 }, (_, n) => ({ atDays: fromDay + n * WEEK, dose: does }));

  const of = (
    way: FirstWay,
    coming: readonly ComingDose[],
    {
      minutes,
      volumeMl = 0,
      harm,
      amongOthers = 1,
    }: { minutes: number; volumeMl?: number; harm: number; amongOthers?: number },
  ): FirstChoice => {
    const pOver = scorer.pOverAt(coming, end);
    const neighbours = amongOthers * caughtBy(request, pestId, coming, end);
    return choice({ way, pOver, minutes, volumeMl, neighbours, harm }, worth);
  };
  const squash = by("pickOff");
  const squashed = weekly(squash.does);
  const choices: FirstChoice[] = [
    of("squash", squashed, { minutes: squashed.length * squash.minutes, harm: harms.squash }),
  ];
  if (programme) {
    const { schedule, burden } = programme;
    const within = schedule.days.filter((day) => day <= end);
    const doses = schedule.doses.slice(0, within.length);
    choices.push(
      of(
        "programme",
        comingOf(
          within.map((day, i) => ({ day, dose: doses[i]! })),
          request,
        ),
        {
          minutes: doses.reduce((sum, dose) => sum + minutesOfDose(dose, { form, potCm }), 0),
          volumeMl: doses.reduce((sum, dose) => sum + volumeOfDose(dose, { form, potCm }), 0),
          harm: Math.min(0.2, A_WASH * burden),
        },
      ),
    );
  }
  if (form !== "airPlant") {
    const unpot = by("unpot");
    const shower = by("shower");
    choices.push(
      of(
        "unpot",
        [{ atDays: fromDay, dose: unpot.does }, { atDays: fromDay, dose: shower.does }, ...squashed.slice(1)],
        {
          minutes: unpot.minutes + shower.minutes + (squashed.length - 1) * squash.minutes,
          harm: request.resting ? LOST_AT_REST : harms.unpot,
        },
      ),
    );
  }
  if (isCut(form)) {
    const now = pictureOf(scorer.reckoning, [], fromDay).days.findLast(({ day }) => day <= fromDay);
    const animals = now?.expected.reduce((sum, n) => sum + n, 0) ?? 0;
    const pOver = 1 - cuttingShare(pestId, 0, animals);
    const cut = { pOver, minutes: CUT_MINUTES + BIN_MINUTES, volumeMl: 0, neighbours: 0, harm: harms.cutting };
    choices.push(choice({ way: "cutting", ...cut }, worth));
  }
  if (request.warmOutside) {
    const outside: ComingDose["dose"] = { events: [...by("shower").does.events, ...outdoors(pestId)] };
    choices.push(of("outdoors", weekly(outside), { minutes: CARRY_MINUTES, harm: harms.outdoors, amongOthers: 0 }));
  }
  choices.push(choice({ way: "giveUp", pOver: 1, minutes: BIN_MINUTES, volumeMl: 0, neighbours: 0, harm: 1 }, worth));
  const sorted = choices.toSorted((a, b) => a.cost - b.cost);
  return {
    choices: sorted,
    because: reasonOf(sorted),
    closed: [
      ...(form === "airPlant" ? [{ way: "unpot", why: "noPot" } as const] : []),
      ...(isCut(form) ? [] : [{ way: "cutting", why: "noCuttings" } as const]),
      ...(request.warmOutside ? [] : [{ way: "outdoors", why: "tooCold" } as const]),
    ],
  };
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
  const mobile = pestOf(pest).stages.map((stage) => stage.mobile);
  const animalDays = pictureOf(scorer.reckoning, coming, end)
    .days.filter(({ day }) => day >= fromDay)
    .reduce((sum, { expected }) => sum + expected.reduce((all, n, stage) => all + (mobile[stage] ? n : 0), 0), 0);
  return Object.entries(neighbours).reduce(
    (sum, [nearness, n]) => sum - n * expm1(-perAnimalAt(pest, nearness as NearnessId) * animalDays),
    0,
  );
}

function choice(of: Omit<FirstChoice, "costs" | "cost">, worth: Worth): FirstChoice {
  const plant = worthOf[worth];
  const costs = {
    work: (HOUR * of.minutes) / 60,
    neighbours: of.neighbours,
    harm: of.harm * plant,
    notOver: (1 - of.pOver) * NOT_OVER * plant,
  };
  return { ...of, costs, cost: costs.work + costs.neighbours + costs.harm + costs.notOver };
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
