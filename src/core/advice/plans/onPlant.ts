import { eventsOfAct } from "../../acts/acts";
import type { Application } from "../../acts/contact";
import type { Conditions, Target } from "../../acts/kind";
import { workOf } from "../../acts/works";
import { addDays, type Day } from "../../shared/days";
import type { ActDone } from "../../record/facts/facts";
import { standing } from "../../record/facts/facts";
import { ownStrength } from "../../knowledge/household/bottles";
import { anyHome, isKeptOut } from "../../knowledge/household/household";
import type { ToolId } from "../../model/inspection/tools";
import { besides, potencyAt, potencyOf } from "../../knowledge/mixes/potency";
import { isKnownPest, pestOf, type PestId } from "../../knowledge/pests/pests";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import { dosesOf, type Approach } from "../planning/approaches";
import { isWork, type Dose } from "../planning/doses";
import type { ComingDose } from "../planning/future";
import type { CompareRequest } from "../planning/compare";
import type { TreatmentCourses } from "../planning/treatmentCourse";
import { helpsFor } from "../planning/helps";
import { runsOn } from "../labels/resistance";
import { cleanLooksCounted, looksLikeLast, looksOn } from "../planning/looks";
import type { SearchRequest } from "../planning/search";
import type { Reckoning } from "../../model/clearance/reckon";
import { hindrancesOf, isAtHand } from "../planning/feasible";
import { MONTH_DAYS, washesOf } from "../planning/stress";
import { doesTo, remedyOf, spotsFor, type RemedyId } from "../../knowledge/remedies/remedies";
import { actObjections } from "../tolerance/actObjections";
import type { TreatedPlant } from "../tolerance/treatedPlant";
import { mixFor, monthlyWashes, refusals } from "../tolerance/mixFor";
import { dunksGently, type Objection } from "../tolerance/suitability";
import type { CaseCalendar } from "../../record/cases/calendar";
import { doseIn } from "./coursesOnRecord";

/** A remedy that does less than this of what its table says is not tried on a pest (HOUSE). */
const WORTHWHILE = 0.7;

/** What of a plant and its keeper bears on what is done next. Plain data. */
export interface OnPlant {
  readonly bearer: TreatedPlant;
  /** The best the keeper has to search with. */
  readonly tool: ToolId;
  /** How much of what our estimate sees with it the keeper is known to see; as much where left out. */
  readonly sees?: number;
  /** How it is where it stands now, and stays; as the tables take it where left out. */
  readonly now?: Conditions;
  /** Fewest days between two treatments that the keeper can keep up; as usual where left out. */
  readonly everyDays?: number;
  /** What was put on lately, in soap washes of the whole plant. */
  readonly washes: readonly { readonly on: Day; readonly washes: number }[];
}

/** What the plant has had to bear in the month before a day. */
export function washesOn(acts: readonly ActDone[], today: Day): OnPlant["washes"] {
  return standing(acts).flatMap(({ act, day: on }) => {
    const dose = on > addDays(today, -MONTH_DAYS) && on <= today ? doseIn(act) : null;
    return dose ? [{ on, washes: washesOf(dose) }] : [];
  });
}

/** A dose as it will be put on this plant; the same dose always gives the same object. */
function applier(pest: PestId, form: GrowthFormId, { bearer, tool, now }: Pick<OnPlant, "bearer" | "tool" | "now">) {
  const target: Target = { pest: pestOf(pest), weights: pest, form, ...(now && { conditions: () => now }) };
  const known = new Map<string, ComingDose["dose"]>();
  return (dose: Dose): ComingDose["dose"] => {
    if (isWork(dose)) {
      const there = known.get(dose.work) ?? {
        events: eventsOfAct(workOf(dose.work).act(bearer), target, 0),
      };
      known.set(dose.work, there);
      return there;
    }
    const mix = dose.mix ?? mixFor(dose.remedy, bearer);
    const own = ownStrength(bearer.home?.bottles ?? [], dose.remedy);
    const key = `${mix} ${dose.technique}`;
    const on = { form, weights: pest, spots: spotsFor(dose.technique, form) };
    const made: ComingDose["dose"] = known.get(key) ?? {
      remedy: dose.remedy,
      technique: dose.technique,
      potency: own === null ? potencyOf(mix) : potencyAt(dose.remedy, own),
      besides: besides(mix),
      ...(dose.technique === "dab" && { tool }),
      on,
    };
    known.set(key, made);
    return made;
  };
}

/**
 * What the plant and its keeper add to a request on a judged case. Where nothing is known of them, or the pest hides in no place that
 * is known, looks are made like the last one.
 */
export function requestOn(
  reckoning: Reckoning,
  on: OnPlant | null,
  calendar: Pick<CaseCalendar, "of">,
  nextLook?: Day,
): Pick<SearchRequest, "apply" | "stress" | "looks" | "on" | "everyDays"> {
  const { id } = reckoning.timeline.layout.pest;
  const counted = {
    have: cleanLooksCounted(reckoning),
    ...(nextLook !== undefined && { nextDay: calendar.of(nextLook) }),
  };
  if (!on || !isKnownPest(id)) return { looks: { ...looksLikeLast(reckoning), ...counted } };
  const { bearer, tool, everyDays } = on;
  const past = on.washes.map(({ on: day, washes }) => ({ day: calendar.of(day), washes }));
  return {
    apply: applier(id, bearer.form, on),
    stress: { perMonth: monthlyWashes(bearer), past },
    looks: { ...looksOn(id, bearer.form, tool, bearer.potCm, on.sees), ...counted },
    on: bearer,
    ...(everyDays !== undefined && { everyDays }),
  };
}

/** Why a plant does not bear an approach; empty where it may be used. Each reason once. */
export function refusedOn(approach: Approach, bearer: TreatedPlant): readonly Objection["code"][] {
  const codes = dosesOf(approach).flatMap((dose) => refusalsOfDose(dose, bearer));
  return [...new Set(codes.map(({ code }) => code))];
}

/** What refuses a dose on a plant, in the mix proposed for it. */
function refusalsOfDose(dose: Dose, bearer: TreatedPlant): readonly Objection[] {
  if (!isWork(dose)) return refusals(dose.remedy, dose.technique, bearer);
  return actObjections(workOf(dose.work).act(bearer), bearer).filter(({ level }) => level === "refuse");
}

/**
 * Whether an approach does anything to speak of to a pest: each of its remedies comes where some stage of it lives, and each of its
 * works is one against it.
 */
export function isAgainst(approach: Approach, pestId: string): boolean {
  return dosesOf(approach).every((dose) => {
    if (isWork(dose)) return workOf(dose.work).against.some((pest) => pest === pestId);
    return doesTo(dose.remedy, pestId) >= WORTHWHILE && comesTo(dose.remedy, pestId);
  });
}

/** Whether a way is one for plants like this. @example isFor({ id: "a", then: dab, on: "bearsNeat" }, fern) // false */
export function isFor({ on }: Approach, { sensitivities }: Pick<TreatedPlant, "sensitivities">): boolean {
  return on === undefined || sensitivities.includes(on);
}

/** Whether a remedy acts where a pest of the table lives; any other pest is taken to live on leaves. */
function comesTo(remedy: RemedyId, pestId: string): boolean {
  if (!isKnownPest(pestId)) return true;
  return pestOf(pestId).stages.some(({ where }) => remedyOf(remedy).actsIn.includes(where));
}

/** What a comparison takes of the plant and its keeper. */
export function comparisonOn(
  pestId: string,
  on: OnPlant | null,
  courses: TreatmentCourses,
  found: number,
): Pick<CompareRequest, "mayUse" | "atHand" | "helps" | "withLoupe" | "gentle"> {
  const fits = (approach: Approach) =>
    on?.bearer.enclosed || dosesOf(approach).every((dose) => !isWork(dose) || !workOf(dose.work).onlyEnclosed);
  const suits = (approach: Approach) => isAgainst(approach, pestId) && fits(approach) && !runsOn(approach, courses);
  if (!on || !isKnownPest(pestId)) return { mayUse: (approach) => suits(approach) && !approach.on };
  const { bearer, tool, now } = on;
  const dunk = applier(pestId, bearer.form, on)({ remedy: "soap", technique: "dunk" }) as Application;
  const bath = { id: "bath", then: { remedy: "soap", technique: "dunk" } } as const;
  const pushed = { id: "pushed", then: { work: "systemic" } } as const;
  const cannot = (approach: Approach) => hindrancesOf(approach, { ...on, pest: pestId, found }).length > 0;
  const systemicKeptOut = isKeptOut("throughTheRoots", bearer.home ?? anyHome, bearer) || cannot(pushed);
  const dunkRefused = refusals("soap", "dunk", bearer).length > 0 || cannot(bath);
  return {
    mayUse: (approach) =>
      suits(approach) &&
      isFor(approach, bearer) &&
      refusedOn(approach, bearer).length === 0 &&
      hindrancesOf(approach, { ...on, pest: pestId, found }).length === 0,
    atHand: (approach) => isAtHand(approach, bearer),
    gentle: (approach) =>
      dunksGently(bearer) || dosesOf(approach).every((dose) => isWork(dose) || dose.technique !== "dunk"),
    helps: helpsFor(pestId, bearer.form, dunk, now).filter(
      ({ id }) => !(id === "dunk" && dunkRefused) && !(id === "systemic" && systemicKeptOut),
    ),
    ...(tool !== "loupe" && { withLoupe: applier(pestId, bearer.form, { ...on, tool: "loupe" }) }),
  };
}
