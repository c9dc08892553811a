import { reckonCarriage, type Carriage, type CarriageQuestion } from "../../model/carriage/carriage";
import type { Courses } from "../../model/carriage/carriageHistories";
import { CaseProblem } from "../../model/clearance/caseProblem";
import type { Day } from "../../shared/days";
import type { PestId } from "../../knowledge/pests/pests";
import { MODEL_VERSION } from "../clearance/model";
import { reckonOrigin } from "../../model/carriage/origin";
import type { Asked, AskedOrigin } from "./ask";
import type { Route } from "./streams";
import type { WayToLook } from "../tonight/tonight";

/**
 * Goes up with every change that makes another answer of the same record; kept answers are then made anew. Both models bear on it:
 * that of a case, whose animals the neighbours stand beside, and that of what is carried, which is at its second.
 */
export const CARRIES_VERSION = 1000 * MODEL_VERSION + 2;

/** How much of what a plant may carry a way is to blame for. */
export interface Blamed extends Route {
  readonly pest: PestId;
  /** Of the chance that it carries something, 0–1; all together sum to 1, or to 0. */
  readonly share: number;
}

/** When a plant that stands apart may join the others, if so many looks are clean. Plain data. */
export interface WayBack {
  readonly way: WayToLook["id"];
  readonly tool: WayToLook["tool"];
  /** The days of the looks; on the last it may join. */
  readonly looks: readonly Day[];
  /** The chance that it carries something then. */
  readonly p: number;
  /** The same after each look from the first on, for at least as many weeks as the longest school waits. */
  readonly after: readonly number[];
}

/** What one plant may carry unseen. Plain data, as it is kept. */
export interface PlantCarries {
  /** The chance that it carries anything. */
  readonly p: number;
  /** The same without what remained of cases called clear: those plants are guarded. */
  readonly risk: number;
  /** Pest by pest, the likeliest first; those of which a case is open are left out. */
  readonly pests: readonly { readonly pest: PestId; readonly p: number }[];
  /** Where from, the likeliest first. */
  readonly routes: readonly Blamed[];
  /** For each look that might be made: the chance that it finds something, and what the plant carries when it was clean. */
  readonly looks: readonly { readonly pFind: number; readonly pAfterClean: number }[];
  /** When it may join the others, for a plant that stands apart and is in no case; null for others. */
  readonly waysBack: readonly WayBack[] | null;
  /** With how much more passing from plant to plant than we suppose it was reckoned; as much where left out. */
  readonly passes?: number;
}

/** Reckons questions; may be done elsewhere, and for many plants at once. */
export type ReckonAll = (questions: readonly CarriageQuestion[]) => Promise<readonly (Carriage | null)[]>;

/** One question; null where what is on record cannot be: a pest that could not have stayed unseen. `courses` remembers what is shared. */
export function reckonOne(question: CarriageQuestion, courses?: Courses): Carriage | null {
  try {
    return reckonCarriage(question, courses?.of(question));
  } catch (error) {
    if (error instanceof CaseProblem) return null;
    throw error;
  }
}

/** Where a case probably came from, the likeliest way first; none where what is on record cannot be. */
export function blamedRoutes({ before, find }: AskedOrigin): readonly Blamed[] {
  try {
    const { pest, routes, question } = before;
    return blamed(pest, routes, reckonOrigin(question, find));
  } catch (error) {
    if (error instanceof CaseProblem) return [];
    throw error;
  }
}

/** The ways with their shares, the greatest first. */
function blamed(pest: PestId, routes: readonly Route[], shares: readonly number[]): Blamed[] {
  return routes
    .map((way, i) => ({ ...way, pest, share: shares[i]! }))
    .filter(({ share }) => share > WORTH_TELLING)
    .toSorted((a, b) => b.share - a.share);
}

/**
 * What a plant may carry, pest by pest and all together: the pests count as independent of each other. `answers` in the order of
 * `asked`; one that is null counts as nothing known and is left out.
 */
export function carriesOf(asked: readonly Asked[], answers: readonly (Carriage | null)[]): PlantCarries {
  const known = asked.flatMap((one, i) => (answers[i] ? [{ ...one, answer: answers[i] }] : []));
  const none = (chances: readonly number[]) => chances.reduce((product, p) => product * (1 - p), 1);
  const p = 1 - none(known.map(({ answer }) => answer.pCarries));
  // What each pest adds, so that the shares are of all together.
  const weight = known.reduce((sum, { answer }) => sum + answer.pCarries, 0);
  const part = (p: number) => (weight > 0 ? p / weight : 0);
  const routes = known
    .flatMap(({ pest, routes: ways, answer }) =>
      blamed(
        pest,
        ways,
        answer.routes.map((share) => part(answer.pCarries) * share),
      ),
    )
    .toSorted((a, b) => b.share - a.share);
  const looks = (known[0]?.answer.looks ?? []).map((_, i) => ({
    pFind: 1 - none(known.map(({ answer }) => answer.looks[i]!.pFind)),
    pAfterClean: 1 - none(known.map(({ answer }) => answer.looks[i]!.pCarriesAfterClean)),
  }));
  const pests = known
    .map(({ pest, answer }) => ({ pest, p: answer.pCarries }))
    .toSorted((a, b) => b.p - a.p || (a.pest < b.pest ? -1 : 1));
  const remained = (ways: readonly Route[], shares: readonly number[]) =>
    ways.reduce((sum, { kind }, i) => sum + (kind === "remained" ? shares[i]! : 0), 0);
  const risk = 1 - none(known.map(({ routes: ways, answer }) => answer.pCarries * (1 - remained(ways, answer.routes))));
  return { p, risk, pests, routes, looks, waysBack: null };
}

/** Ways in which pests pass from plant to plant within the collection. */
const PASSED: readonly Route["kind"][] = ["neighbour", "others", "handled"];

/** How much of what a plant may carry would have passed to it from another plant here, 0–1; what is not worth telling counts as none of it. */
export function passedShare({ routes }: Pick<PlantCarries, "routes">): number {
  const share = routes.reduce((sum, way) => sum + (PASSED.includes(way.kind) ? way.share : 0), 0);
  return Math.min(1, share);
}

/** A way that has less of it than this is not told. */
const WORTH_TELLING = 0.005;
