import { addDays, type Day } from "../../shared/days";
import { testsByWorth } from "../diagnosis/expectedInformation";
import { posteriorOf, type Posterior } from "../diagnosis/posterior";
import type { Priors } from "../diagnosis/priors";
import { shownBy, tests, type Observations, type SignId, type TestId } from "../../knowledge/signs/signs";
import { isReckoned, type SuspectId } from "../../knowledge/signs/suspects";
import { byChance, SETTLES_FROM_BITS } from "../diagnosis/verdict";
import { byMoment, standing, type ActDone, type Look, type Programme } from "../../record/facts/facts";
import type { PestId } from "../../knowledge/pests/pests";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import { planOf, type Plan } from "../plans/plans";

/** Signs of something on a plant that nobody could name. */
export interface Unnamed {
  readonly since: Day;
  readonly observed: Observations;
}

/**
 * What is open without a name on a plant: the last look at which signs were noted and left open, until a look finds something or
 * says that it is none. Looks in any order; those struck out count nothing. @example unnamedOn([]) // null
 */
export function unnamedOn(looks: readonly Look[]): Unnamed | null {
  const last = standing(looks)
    .toSorted(byMoment)
    .findLast(({ naming, finds }) => naming !== null || finds.length > 0);
  if (!last?.naming?.open || last.finds.length > 0) return null;
  return { since: last.day, observed: observedIn(last.naming) };
}

/**
 * What is being done against something without a name: the programme chosen last since that has been open without a break; null
 * where nothing is open, or nothing was chosen. It ends when a look finds something or says that it is none.
 * @example planOfUnnamed({ looks: [], acts: [], programmes: [] }) // null
 */
export function planOfUnnamed({
  looks,
  acts,
  programmes,
}: {
  readonly looks: readonly Look[];
  readonly acts: readonly ActDone[];
  readonly programmes: readonly Programme[];
}): Plan | null {
  if (!unnamedOn(looks)) return null;
  const telling = standing(looks)
    .toSorted(byMoment)
    .filter(({ naming, finds }) => naming !== null || finds.length > 0);
  const before = telling.findLastIndex(({ naming, finds }) => !naming?.open || finds.length > 0);
  const { at: from } = telling[before + 1]!;
  const latest = standing(programmes).findLast((one) => one.programme === "unnamed" && one.at >= from);
  return latest ? planOf(latest, { acts, looks }) : null;
}

function observedIn({ present, absent }: NonNullable<Look["naming"]>): Observations {
  const as = (signs: readonly SignId[], seen: "present" | "absent") => signs.map((sign) => [sign, seen] as const);
  return Object.fromEntries([...as(absent, "absent"), ...as(present, "present")]);
}

/** One thing that it may be, with how likely it is that; all of them and `none` sum to 1. */
export interface Candidate {
  readonly pest: PestId;
  readonly p: number;
}

/** What would follow from an answer of the test: the sign that shows (null for none of them), and what it is then. */
export interface AnswerMeans {
  readonly sign: SignId | null;
  readonly likeliest: SuspectId | null;
  readonly p: number;
}

/** What is in question, and what would settle it. */
export interface InQuestion {
  readonly candidates: readonly Candidate[];
  /** Of all that is weighed, the share that speaks for no pest, and for those against which no dates are reckoned. */
  readonly none: number;
  readonly unreckoned: number;
  /** The test that tells most, the day on which its answer is there, and what each answer would mean; null where none tells anything. */
  readonly test: { readonly id: TestId; readonly on: Day; readonly answers: readonly AnswerMeans[] } | null;
  /** The day on which to look again at the latest. */
  readonly decideOn: Day;
}

/** A pest is weighed from this probability on, and so many at most (HOUSE). */
const WEIGHED_FROM = 0.1;
const MOST_WEIGHED = 3;
/** Without a test that tells anything one looks again after a week (common practice). */
const LOOK_AGAIN_DAYS = 7;

/**
 * What an unnamed case may be by its signs, and what would settle it. Pests that may be there together are weighed as if they
 * excluded each other, scaled to 1 with "none". `priors` as {@link posteriorOf} takes them.
 */
export function inQuestionOf({ observed, since }: Unnamed, priors: Priors, form: GrowthFormId, today: Day): InQuestion {
  const posterior = posteriorOf(priors, observed, form);
  const likely = byChance(posterior).filter((pest) => posterior.of[pest] >= WEIGHED_FROM);
  const total = likely.reduce((sum, pest) => sum + posterior.of[pest], posterior.none);
  const reckoned = likely.filter(isReckoned).slice(0, MOST_WEIGHED);
  const candidates = reckoned.map((pest): Candidate => ({ pest, p: posterior.of[pest] / total }));
  const none = posterior.none / total;
  const best = testsByWorth(posterior, priors, form, observed)[0];
  const settling = best && best.bits >= SETTLES_FROM_BITS ? best.test : null;
  const test = settling && {
    id: settling,
    on: addDays(today, tests[settling].days),
    answers: answersOf(settling, priors, observed, form),
  };
  const again = addDays(since, LOOK_AGAIN_DAYS);
  return {
    candidates,
    none,
    unreckoned: Math.max(0, 1 - none - candidates.reduce((sum, { p }) => sum + p, 0)),
    test,
    decideOn: test && test.on > again ? test.on : again,
  };
}

function answersOf(test: TestId, priors: Priors, observed: Observations, form: GrowthFormId): AnswerMeans[] {
  const shows = shownBy(test, form, observed);
  const nothing = Object.fromEntries(shows.map((sign) => [sign, "absent" as const]));
  const means = (sign: SignId | null): AnswerMeans => {
    const after = posteriorOf(priors, { ...observed, ...nothing, ...(sign && { [sign]: "present" as const }) }, form);
    return { sign, ...likeliestOf(after) };
  };
  return [...shows.map(means), means(null)];
}

function likeliestOf(posterior: Posterior): Pick<AnswerMeans, "likeliest" | "p"> {
  const [first] = byChance(posterior);
  if (!first || posterior.none > posterior.of[first]) return { likeliest: null, p: posterior.none };
  return { likeliest: first, p: posterior.of[first] };
}
