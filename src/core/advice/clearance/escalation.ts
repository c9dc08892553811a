import { logNegativeBinomial } from "../../model/clearance/gamma";
import type { Reckoning } from "../../model/clearance/reckon";
import { remedyNamed, type CaseFile, type FileEvent } from "../../record/format/schema";
import { exp, expm1, ln } from "../../shared/exponential";
import { remedyOf } from "../../knowledge/remedies/remedies";
import { assessFile } from "./assess";

/** Why there are still some after treatments. */
export const explanationIds = ["missed", "asExpected", "resistant", "reinfested"] as const;
export type ExplanationId = (typeof explanationIds)[number];

/** An explanation with its odds; all of them sum to 1. */
export interface Explanation {
  readonly id: ExplanationId;
  readonly p: number;
}

export interface Around {
  /** Founders expected from plants with the same pest and from the air since the last treatment before the find. */
  readonly founders: number;
}

/** How likely each was before anything was found again (HOUSE): a hand that misses twice as much is one in four, as the model has it. */
const MISSES = 0.25;
/** One population in ten resists a group that others have been treated with before (HOUSE); three in ten after two full courses. */
const RESISTS = 0.1;
const RESISTS_AFTER_COURSES = 0.3;
/** So many applications of one group come to two full courses. */
const TWO_COURSES = 6;
/** What is left of a remedy's strength against those that resist it (HOUSE). */
const LEFT_OF_IT = 0.15;
/** A new colony shows as many as this in the mean, at the first find of it (HOUSE). */
const NEW_COLONY_SEEN = 1.5;
const COUNT_SHAPE = 2;

/**
 * Why there are still live animals after treatments: how well the record is explained by a hand that misses more than is usual, by
 * nothing but what had to be expected (eggs and hidden ones that came up since, slower where it is cool), by a population that
 * resists what was put on, and by one that was over and came anew. Null where nothing was found again after a treatment, or where
 * the record cannot be reckoned. Source: Bayes' rule over the model's own likelihoods; the odds beforehand are our own (HOUSE).
 */
export function explain(file: CaseFile, { founders }: Around): readonly Explanation[] | null {
  const last = file.events.findLastIndex((event) => event.type === "inspection" && event.found > 0);
  const before = file.events.slice(0, last);
  const found = file.events[last];
  const treated = before.findLastIndex((event) => event.type === "treatment");
  const begun = before.findIndex((event) => event.type === "inspection" && event.found > 0);
  if (found?.type !== "inspection" || begun < 0 || treated < begun) return null;
  const then: CaseFile = { ...file, events: file.events.slice(0, last + 1), asOf: found.at };
  const usual = evidence(then, true);
  const missed = evidence(then, false);
  const resistance = resistedIn(before);
  const resistant = resistance > 0 ? evidence({ ...then, events: then.events.map(weakened) }, true) : -Infinity;
  const reinfested = cameAnew({ ...file, events: before, asOf: found.at }, found.found, founders);
  const rest = 1 - MISSES - resistance;
  const logs: [ExplanationId, number][] = [
    ["missed", ln(MISSES) + missed],
    ["asExpected", ln(rest) + usual],
    ["resistant", resistance > 0 ? ln(resistance) + resistant : -Infinity],
    ["reinfested", reinfested],
  ];
  const most = Math.max(...logs.map(([, log]) => log));
  if (most === -Infinity) return null;
  const odds = logs.map(([id, log]) => ({ id, p: exp(log - most) }));
  const total = odds.reduce((sum, { p }) => sum + p, 0);
  return odds.map(({ id, p }) => ({ id, p: p / total })).toSorted((a, b) => b.p - a.p);
}

/**
 * The logarithm of the chance of all that was found, over the hands that miss as usual or less, or over those that miss twice as
 * much; −∞ where it cannot be.
 */
function evidence(file: CaseFile, usually: boolean): number {
  const assessed = assessFile(file);
  if (!assessed.ok) return -Infinity;
  return logMean(assessed.reckoning, usually);
}

function logMean({ believed }: Reckoning, usually: boolean): number {
  const among = believed.filter(({ scenario }) => usually === scenario.escape <= 1);
  const prior = among.reduce((sum, { scenario }) => sum + scenario.prior, 0);
  const most = Math.max(...among.map(({ logWeight }) => logWeight));
  if (most === -Infinity) return -Infinity;
  return most + ln(among.reduce((sum, { logWeight }) => sum + exp(logWeight - most), 0) / prior);
}

/** How likely resistance is beforehand; 0 where nothing was put on to which any pest becomes resistant. */
function resistedIn(events: readonly FileEvent[]): number {
  const times = events.filter(resisted).length;
  if (times === 0) return 0;
  return times >= TWO_COURSES ? RESISTS_AFTER_COURSES : RESISTS;
}

function resisted(event: FileEvent): boolean {
  return event.type === "treatment" && event.remedy !== undefined && remedyOf(remedyNamed(event.remedy)).group !== null;
}

function weakened(event: FileEvent): FileEvent {
  if (event.type !== "treatment" || !resisted(event)) return event;
  return { ...event, potency: LEFT_OF_IT * (event.potency ?? 1) };
}

/** All before was over, and a colony came since; the logarithm of how likely that is together with so many found. */
function cameAnew(before: CaseFile, count: number, founders: number): number {
  const assessed = assessFile(before);
  if (!assessed.ok || !(founders > 0)) return -Infinity;
  const { pClear } = assessed.reckoning;
  if (!(pClear > 0)) return -Infinity;
  const [usual, missed] = [logMean(assessed.reckoning, true), logMean(assessed.reckoning, false)];
  const most = Math.max(usual, missed);
  const seen = most + ln((1 - MISSES) * exp(usual - most) + MISSES * exp(missed - most));
  return seen + ln(pClear) + ln(-expm1(-founders)) + logNegativeBinomial(count, COUNT_SHAPE, NEW_COLONY_SEEN);
}
