import { doseIn } from "@/core/advice/plans/coursesOnRecord";
import type { LearnedReach } from "@/core/model/learning/reach";
import type { TechniqueId } from "@/core/knowledge/remedies/remedies";
import { summedUp, type Experience } from "@/core/advice/learning/experience";
import { arrivalsBefore, type Beginning, type ToldElsewhere } from "@/core/model/learning/elsewhere";
import type { Learned } from "@/core/model/learning/grid";
import { cardsHeld, type CardsHeld } from "@/core/advice/learning/cardCounts";
import { passingFrom, passingWorth } from "@/core/model/learning/passing";
import type { SharePrior } from "@/core/model/learning/share";
import { eyesOf, eyesWorth, learnedSightOf } from "@/core/record/cases/keepersEye";
import { betterTool, type BetterTool } from "@/core/advice/learning/rhythm";
import type { SightPair } from "@/core/record/cases/sightPairs";
import type { LearnedSight } from "@/core/model/learning/sight";
import type { ToolId } from "@/core/model/inspection/tools";
import { sightOnRecord } from "../../plants/sightOnRecord";
import { handsOf, handsWorth, learnedOf } from "@/core/record/cases/techniqueHand";
import { addDays, daysBetween, type Day } from "@/core/shared/days";
import { byMoment, standing } from "@/core/record/facts/facts";
import { groupBy } from "@/core/shared/groupBy";
import {
  coursesTaught,
  isDecided,
  ENDED_FOR_GOOD_DAYS,
  LOOKED_AGAIN_DAYS,
  type CourseCase,
  type CourseTaught,
} from "@/core/advice/learning/courses";
import { promisesKept } from "@/core/advice/learning/promises";
import { LOOK_CUTS, PLAN_CUTS, reliabilityOf, type ToldBetween } from "@/core/advice/learning/reliability";
import { arrivalsTaught, type SellerTaught } from "@/core/advice/learning/arrivals";
import { sightOf, type Sight } from "@/core/advice/learning/sight";
import { treats } from "@/core/acts/acts";
import { inParallel } from "@/db/query";
import * as assessments from "@/db/stores/cases/assessments";
import * as cases from "@/db/stores/cases/cases";
import * as collections from "@/db/stores/collections";
import * as facts from "@/db/stores/record/facts";
import { cameFrom } from "@/db/stores/plants/spread";
import * as looks from "@/db/stores/looks/looks";
import * as ledger from "@/db/stores/record/ledger";
import { judgedNow } from "../../cases/judgements";
import { dayOf, scopeOf, today, type Context } from "../../shared/context";

/** Of more looks the newest are weighed: what came of so many at once takes a second to weigh. */
const MOST_EXPECTED = 2000;

/** A technique in a keeper's hand, and what its cases say of how much it misses; null while they are too few. */
export interface HandTaught {
  readonly technique: TechniqueId;
  /** The name it was last recorded under. */
  readonly name: string;
  readonly cases: number;
  readonly learned: LearnedReach | null;
}

/** A tool in a keeper's eye, and how much of what we suppose it sees; null while its looks are too few. */
export interface EyeTaught {
  readonly tool: ToolId;
  /** The name it was last recorded under. */
  readonly name: string;
  readonly looks: number;
  readonly learned: LearnedSight | null;
  /** What another tool that the keeper owns would do for the rhythm; null where nothing is learned yet, or no tool is clearly better. */
  readonly better: BetterTool | null;
}

export interface TaughtView {
  /** What each way has ended, against each pest. */
  readonly courses: readonly CourseTaught[];
  /** Chances told when cases were called clear, beside how often nothing returned within the guard. */
  readonly closings: readonly ToldBetween[];
  /** What each tool saw of what was found. */
  readonly sights: readonly Sight[];
  /** What looks beside finds have told of each eye with a tool, those of most looks first. */
  readonly eyes: readonly EyeTaught[];
  /** What closed cases have told of each hand, those of most cases first. */
  readonly hands: readonly HandTaught[];
  /** What came with the plants of each seller. */
  readonly sellers: readonly SellerTaught[];
  /** Chances told when plans were adopted that the looks after them are clean, beside how often they were. */
  readonly promises: readonly ToldBetween[];
  /** Chances told before looks that they would find something, beside how often they did. */
  readonly expected: readonly ToldBetween[];
  /** How many looks that were, how many of them found something, and how much more that says passes from plant to plant than we suppose; null for too few. */
  readonly passing: { readonly looks: number; readonly finds: number; readonly learned: Learned | null };
  /** What cards against gnats counted, beside the spans told of them. */
  readonly cards: CardsHeld;
  /** Open cases on which this bears, as far as they are judged, with how likely they are over by it and by our estimates alone; those furthest apart first. */
  readonly bearsOn: readonly assessments.JudgedTwice[];
  /** What that is worth to keepers elsewhere. */
  readonly worth: Omit<ToldElsewhere, "keepers">;
  /** What other keepers' records have taught that were read in; null where none were. */
  readonly elsewhere: (Experience & { readonly told: ToldElsewhere }) | null;
  /** What is believed of a seller nobody knows. */
  readonly arrivals: SharePrior;
  /** How many cases there were, and how many of them are closed. */
  readonly cases: number;
  readonly closed: number;
}

/** What every case that there was tells of its course, and what was said of it when it was closed. */
async function casesTold(context: Context) {
  const scope = scopeOf(context, "read");
  const [all, closings] = await inParallel(
    scope,
    () => ledger.cases(scope),
    () => facts.all(scope, "closing"),
  );
  const plantIds = [...new Set(all.map(({ plantId }) => plantId))];
  const [everyAct, programmes] = await inParallel(
    scope,
    () => facts.of(scope, "act", "plantId", plantIds),
    () => facts.of(scope, "programme", "plantId", plantIds),
  );
  const acts = standing(everyAct).toSorted(byMoment);
  const doneAt = new Map(acts.flatMap(({ stepId, at }) => (stepId ? [[stepId, at] as const] : [])));
  const plansOf = groupBy(standing(programmes).toSorted(byMoment), ({ plantId, pest }) => `${plantId} ${pest}`);
  const actsOf = groupBy(acts, ({ plantId }) => plantId ?? "");
  const closingsOf = groupBy(standing(closings), ({ plantId }) => plantId);
  const casesOn = groupBy(all, ({ plantId, pest }) => `${plantId} ${pest}`);
  // What was still open when its plant left tells of no end.
  const known = all.filter(({ closedAt, archivedAt }) => closedAt !== null || archivedAt === null);
  return known.map(({ caseId, plantId, pest, openedAt, closedAt, outcome, finds, lookedAgainAt }) => {
    const closedOn = closedAt && dayOf(context, closedAt);
    const closing = closedAt
      ? closingsOf.get(plantId)?.find((each) => each.pest === pest && each.at.getTime() === closedAt.getTime())
      : undefined;
    const guardedUntil = closedOn && addDays(closedOn, ENDED_FOR_GOOD_DAYS);
    const returned = (casesOn.get(`${plantId} ${pest}`) ?? []).some(
      (next) => outcome === "clear" && next.openedAt > closedAt! && dayOf(context, next.openedAt) <= guardedUntil!,
    );
    const doses = (actsOf.get(plantId) ?? []).flatMap(({ act, at, day }) => {
      const dose = at >= openedAt && (closedAt === null || at <= closedAt) && treats(act, pest) ? doseIn(act) : null;
      return dose ? [{ day: day as Day, dose }] : [];
    });
    const lookedAgain =
      closedOn !== null &&
      lookedAgainAt !== null &&
      daysBetween(closedOn, dayOf(context, lookedAgainAt)) >= LOOKED_AGAIN_DAYS;
    const counted: CourseCase = {
      ...{ caseId, pest, openedOn: dayOf(context, openedAt), closedOn, doses, returned, lookedAgain },
      outcome,
    };
    const plans = (plansOf.get(`${plantId} ${pest}`) ?? [])
      .filter(({ at }) => at >= openedAt && (closedAt === null || at <= closedAt))
      .map(({ at, pClean, steps }) => {
        const treatments = steps.filter(({ kind }) => kind === "treat").map(({ id }) => doneAt.get(id) ?? null);
        return { adoptedAt: at, pClean, treatments };
      });
    const promised = promisesKept(plans, { finds, closedAt, outcome });
    return { counted, pClear: closing?.pClear ?? null, promised };
  });
}

/** What each way has ended on this collection's own record. */
export async function readCourses(context: Context): Promise<readonly CourseTaught[]> {
  return coursesTaught(
    (await casesTold(context)).map(({ counted }) => counted),
    today(context),
  );
}

/** What looks beside finds have told of an eye, and what another tool would do for the keeper's rhythm. */
function eyeTaught(
  { collection }: Context,
  eye: ReturnType<typeof eyesOf>[number],
  pairs: readonly SightPair[],
  beginning: Beginning,
): EyeTaught {
  const { keeper, tool, name, looks: many } = eye;
  const learnedWith = (other: ToolId) => learnedSightOf({ keeper, tool: other }, pairs, beginning);
  const learned = learnedWith(tool);
  const owned = (["lamp", "loupe"] as const).filter((one) => collection.owns.includes(one));
  const beside = pairs
    .filter(({ look }) => look.keeper === keeper && look.tool === tool)
    .map(({ pest, look }) => ({ pest, growthForm: look.growthForm, spots: look.spots }));
  const sees = (other: ToolId) => learnedWith(other)?.mean ?? 1;
  const better = learned && betterTool(tool, owned, beside, sees, collection.lookEveryDays);
  return { tool, name, looks: many, learned, better };
}

/** What this collection's own record has taught: what ended what, whether what was told came true, and what each tool sees. */
export async function readTaught(context: Context): Promise<TaughtView> {
  const now = today(context);
  const told = await casesTold(context);
  const scope = scopeOf(context, "read");
  const [pairs, shown, came, experience, expected, passing, bearsOn, counts] = await inParallel(
    scope,
    () => sightOnRecord(scope),
    () => cases.shownReach(scope),
    () => cameFrom(scope),
    () => collections.experience(scope),
    () => looks.newestExpected(scope, MOST_EXPECTED),
    () => looks.passing(scope),
    () => assessments.judgedTwice(scope, judgedNow(context)),
    () => facts.all(scope, "trapCount"),
  );
  // Whoever keeps to our estimates sees what their own would be.
  const { numbers, toldElsewhere } = context.collection;
  const beginning: Beginning =
    numbers === "ours" ? { numbers: "mixed", toldElsewhere: null } : { numbers, toldElsewhere };
  const sellers = arrivalsTaught(came, arrivalsBefore(context.collection));
  return {
    courses: coursesTaught(
      told.map(({ counted }) => counted),
      now,
    ),
    closings: reliabilityOf(
      told.flatMap(({ counted, pClear }) =>
        // What may still return has not come true yet, and what nobody looked for may have.
        counted.outcome === "clear" && pClear !== null && isDecided(counted, now)
          ? [{ p: pClear, came: !counted.returned }]
          : [],
      ),
    ),
    promises: reliabilityOf(
      told.flatMap(({ promised }) => promised),
      PLAN_CUTS,
    ),
    sights: sightOf(pairs),
    eyes: eyesOf(pairs).map((eye) => eyeTaught(context, eye, pairs, beginning)),
    hands: handsOf(shown).map((hand) => ({
      ...{ technique: hand.technique, name: hand.name, cases: hand.cases },
      learned: learnedOf(hand, shown, beginning),
    })),
    sellers,
    expected: reliabilityOf(
      expected.map(({ pFind, found }) => ({ p: pFind, came: found })),
      LOOK_CUTS,
    ),
    passing: {
      ...{ looks: passing.looks, finds: passing.found.length },
      learned: passingFrom(passing, beginning.numbers, beginning.toldElsewhere?.passing),
    },
    cards: cardsHeld(standing(counts)),
    bearsOn,
    worth: {
      hands: handsWorth(shown),
      eyes: eyesWorth(pairs),
      arrivals: {
        plants: sellers.reduce((sum, { plants }) => sum + plants, 0),
        showed: sellers.reduce((sum, { showed }) => sum + showed, 0),
      },
      passing: { looks: passing.looks, ...passingWorth(passing) },
    },
    elsewhere: experience && toldElsewhere && { ...summedUp(experience), told: toldElsewhere },
    arrivals: arrivalsBefore(context.collection),
    cases: told.length,
    closed: told.filter(({ counted }) => counted.closedOn !== null).length,
  };
}
