import { inUse } from "@/core/knowledge/household/bottles";
import { coursesOn } from "@/core/advice/plans/coursesOnRecord";
import type { Case } from "@/core/record/cases/cases";
import { caseFileFrom } from "@/core/record/cases/fromFacts";
import { sightBefore } from "@/core/record/cases/keepersEye";
import { keeperOf, reachBefore } from "@/core/record/cases/techniqueHand";
import { judgeCase, type Judged, type KeepersWays } from "@/core/advice/clearance/judge";
import { MODEL_VERSION } from "@/core/advice/clearance/model";
import { planInForce, runningPlan } from "@/core/advice/plans/plans";
import { daysBetween, type Day } from "@/core/shared/days";
import { standing } from "@/core/record/facts/facts";
import { usualTool, type Settings } from "@/core/record/facts/settings";
import type { CaseFileInput } from "@/core/record/format/schema";
import type { Scope } from "@/db/connection";
import type { AssessmentRow } from "@/db/stores/cases/assessments";
import * as assessments from "@/db/stores/cases/assessments";
import { wallTimeIn } from "@/zones";
import { today, type Context } from "../shared/context";
import { restsDryOn } from "@/core/advice/tolerance/treatedPlant";
import { onPlant } from "../plants/onPlant";
import type { KeptRecord } from "../plants/plantRecords";

/** How a keeper works, from the settings, as far as it bears on a case. */
export function waysOf({ workDays, clearPercent }: Settings): KeepersWays {
  return { workDays, clearTarget: clearPercent / 100 };
}

/** What a keeper can do and has, as far as a plan in force is weighed by it. */
function handsIn({ everyDays, owns }: Context["collection"]) {
  return [everyDays, usualTool(owns)];
}

/** What a kept judgement must be of, beside the plant's facts, to speak of now. */
export function judgedNow(context: Pick<Context, "collection" | "now">) {
  const { collection } = context;
  return {
    ways: JSON.stringify([
      waysOf(collection),
      handsIn(collection),
      collection.timeZone,
      collection.numbers,
      collection.numbers === "ours" ? null : collection.toldElsewhere,
      ...labelsIn(collection),
    ]),
    modelVersion: MODEL_VERSION,
    asOf: today(context),
  };
}

/** What the labels in the cupboard say that bears on a case. */
function labelsIn({ bottles }: Context["collection"]) {
  return inUse(bottles).map(({ active, unit, perLitre, everyDays, mostTimes, allowed }) => {
    return [active, unit, perLitre, everyDays, mostTimes, allowed];
  });
}

/** A judgement as it was kept; null for none. */
export function keptJudgement(row: AssessmentRow | undefined): Judged | null {
  return row ? (row.result as unknown as Judged) : null;
}

/** The case file of a case, as of the end of a day; null where its facts make none. */
export function fileOfCase(
  record: KeptRecord,
  found: Case,
  asOf: Day,
  collection: Pick<Context["collection"], "timeZone" | "hemisphere" | "numbers" | "toldElsewhere">,
): CaseFileInput | null {
  const { plant, looks, acts, warmth, humidity, shownReach } = record;
  const { timeZone, hemisphere } = collection;
  const sight = sightBefore(found.openedAt, record.sight, collection);
  const reachPrior = reachBefore(found, acts, shownReach, collection);
  const wallTime = (at: Date) => wallTimeIn(at, timeZone);
  const restsOn = (day: Day) => restsDryOn(plant, day, hemisphere);
  return caseFileFrom({ found, plant, looks, acts, warmth, humidity, restsOn, wallTime, asOf, reachPrior, sight });
}

/** A case file as it would be by our estimates alone; null where it is the same, since the keeper's own record bears on nothing in it. */
function fileByOurs(
  file: CaseFileInput,
  record: KeptRecord,
  found: Case,
  asOf: Day,
  collection: Parameters<typeof fileOfCase>[3],
): CaseFileInput | null {
  if (collection.numbers === "ours") return null;
  const ours = fileOfCase(record, found, asOf, { ...collection, numbers: "ours" });
  return JSON.stringify(file) === JSON.stringify(ours) ? null : ours;
}

/** Judges an open case from its plant's record. Reads and writes nothing; a case that cannot be reckoned says why. */
export function judge(context: Pick<Context, "collection" | "now">, record: KeptRecord, found: Case): Judged {
  const day = today(context);
  const input = fileOfCase(record, found, day, context.collection);
  const last = standing(record.inspections).findLast((look) => look.at >= found.openedAt);
  if (!input || !last)
    return { ok: false, problems: [{ path: "", message: "nothing is known of the warmth it has had" }] };
  const sight = sightBefore(found.openedAt, record.sight, context.collection);
  const lookedAt = {
    lastLook: last.day,
    search: { tool: last.tool, spots: last.spots },
    sees: sight({ keeper: keeperOf(last), tool: last.tool }),
  };
  const plan = runningPlan(planInForce(found, record.cases, record));
  const bearing = {
    today: day,
    ...lookedAt,
    plan,
    courses: coursesOn(record.acts, day, inUse(context.collection.bottles)),
    on: onPlant(context, record, found.openedAt),
    byOurs: fileByOurs(input, record, found, day, context.collection),
  };
  try {
    return judgeCase(input, record.plant.growthForm, bearing, waysOf(context.collection));
  } catch (error) {
    // One case that the reckoning stumbles over is said to be so on its own page, and stops no other.
    console.error(error);
    return { ok: false, problems: [{ path: "", message: "the reckoning did not come to an end" }] };
  }
}

/** Whether what was kept speaks of today, of these settings and of these facts. */
function isOfNow(context: Context, kept: AssessmentRow, record: KeptRecord): boolean {
  const { ways, modelVersion, asOf } = judgedNow(context);
  return (
    kept.factsVersion === record.factsVersion &&
    kept.ways === ways &&
    kept.modelVersion === modelVersion &&
    kept.asOf === asOf
  );
}

/** The judgement of an open case: the one that was kept, where it speaks of today's facts; else one reckoned now, however long that takes. */
export async function judgementOf(context: Context, scope: Scope, record: KeptRecord, found: Case): Promise<Judged> {
  const [kept] = await assessments.ofCases(scope, [found.id]);
  return kept && isOfNow(context, kept, record) ? keptJudgement(kept)! : judge(context, record, found);
}

/** A case that began longer ago than this is reckoned by the job alone: nobody waits that long for a page. */
const SHORT_DAYS = 150;

export interface KnownJudgement {
  readonly judged: Judged;
  /** Whether it speaks of today's facts. */
  readonly current: boolean;
}

/**
 * What is known of an open case: the judgement that was kept, if it speaks of today's facts; else one reckoned now, without
 * writing anything down, if that is quick; else the one kept before, or null while there is none.
 */
export async function knownJudgement(
  context: Context,
  scope: Scope,
  record: KeptRecord,
  found: Case,
): Promise<KnownJudgement | null> {
  const [kept] = await assessments.ofCases(scope, [found.id]);
  const { modelVersion, asOf } = judgedNow(context);
  if (kept && isOfNow(context, kept, record)) return { judged: keptJudgement(kept)!, current: true };
  if (daysBetween(found.openedOn, asOf) <= SHORT_DAYS) return { judged: judge(context, record, found), current: true };
  // What an earlier model said may have another shape: nobody reads it.
  const before = kept?.modelVersion === modelVersion ? keptJudgement(kept) : null;
  return before && { judged: before, current: false };
}
