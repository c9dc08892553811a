import { cleanLookIn, eventsOfAct } from "../../acts/acts";
import { applicationOf } from "../../acts/contact";
import type { ActEvent, Target } from "../../acts/kind";
import { mitesLayIn } from "../../climate/air";
import { addDays, type Day } from "../../shared/days";
import type { Plant } from "../facts/descriptions";
import { byMoment, standing, type ActDone, type Look } from "../facts/facts";
import { remedyNames, type CaseFileInput } from "../format/schema";
import { marksNewLeaves, unmarked } from "../../model/inspection/newGrowth";
import { ONE_SIDE, seeChances, seeShare, type Search } from "../../model/inspection/see";
import { animalsIn } from "../../model/inspection/severity";
import { pestOf, type PestId } from "../../knowledge/pests/pests";
import { spotsOf, type GrowthFormId } from "../../knowledge/plants/growthForms";
import { isOutsideModel } from "./outsideModel";
import type { KeepersEye } from "./keepersEye";
import { keeperOf } from "./techniqueHand";
import { inspectionsOn } from "./inspections";
import type { TreatmentEvent } from "../../model/population/events";
import type { Case } from "./cases";
import type { HumidityBetween, WarmthBetween } from "./warmth";

export interface CaseFacts {
  readonly found: Pick<Case, "pest" | "openedAt" | "openedOn" | "closing">;
  readonly plant: Pick<Plant, "growthForm">;
  /** Looks at the plant, and what was done to it and to the places where it stood then; in any order. */
  readonly looks: readonly Look[];
  readonly acts: readonly ActDone[];
  readonly warmth: WarmthBetween;
  /** Nothing is known of it where left out. */
  readonly humidity?: HumidityBetween;
  /** Whether the plant rests dry on a day; it never does where left out. */
  readonly restsOn?: (day: Day) => boolean;
  /** What clocks where the plant stands show at a moment, `YYYY-MM-DDTHH:mm`. */
  readonly wallTime: (at: Date) => string;
  /** What is known of the keeper's hand from before: weights of reach ×2.5, ×1, ×⅓; null where nothing is. */
  readonly reachPrior?: readonly [number, number, number] | null;
  /** How much of what our estimate sees an eye with a tool is known to see; as much where left out. */
  readonly sight?: (eye: KeepersEye) => number;
  /** The last day the file speaks of. */
  readonly asOf: Day;
}

type FileEvent = CaseFileInput["events"][number];

/**
 * Writes what is on record of a case as a case file, asked about at the end of the day `asOf`, or of the day on which it was
 * closed. Null while no look has found anything up to then, or where nothing is known of the warmth.
 *
 * The model's clock is the clock on the wall where the plant stands, written as if it were UTC: a case begins on the day its
 * keeper saw it begin, and a day's warmth is that of the keeper's day. What was done before the first find cannot change the
 * answer and is left out, but for what goes on after it.
 * A find that the look's own tool and spots could not have made (the animals were met by chance) counts as one made with a
 * loupe on the whole plant, so that it is not lost.
 */
export function caseFileFrom({ found, plant, warmth, wallTime, ...facts }: CaseFacts): CaseFileInput | null {
  const { pest, openedAt, openedOn, closing } = found;
  const asOf = closing && closing.day < facts.asOf ? closing.day : facts.asOf;
  const counts = (fact: Look | ActDone) =>
    !isOutsideModel(fact) && fact.day <= asOf && (closing === null || fact.at <= closing.at);
  const moment = (at: Date) => `${wallTime(at)}:00Z`;
  const looks = standing(inspectionsOn(facts)).filter((look) => counts(look) && look.at >= openedAt);
  const acts = standing(facts.acts).filter((one) => counts(one) && cleanLookIn(one.act) === null);
  const dailyMeanC = warmth(openedOn, asOf);
  const target = { pest: pestOf(pest), weights: pest, form: plant.growthForm };
  const sees = (look: Look) => facts.sight?.({ keeper: keeperOf(look), tool: look.tool }) ?? 1;
  const during = (done: ActDone) => ({ ...target, conditions: conditionsFrom(done.day, asOf, { warmth, ...facts }) });
  const events = [
    ...(pest === "spiderMite" ? layingInAir(openedOn, asOf, facts.humidity) : []),
    ...[
      ...looks.map((look) => ({ ...look, events: inspectionsOf(look, moment(look.at), pest, plant, sees(look)) })),
      ...acts.map((done) => ({ ...done, events: eventsOf(done, moment, during(done), openedAt) })),
    ]
      .toSorted(byMoment)
      .flatMap((one) => one.events),
  ];
  // Lasting effects from before stand first; the first find is day 0 all the same, since they begin no earlier than it.
  if (asOf < openedOn || dailyMeanC.length === 0 || !events.some(isFind)) return null;
  return {
    format: "wary-petal.case",
    version: 1,
    pest,
    plant: { growthForm: plant.growthForm },
    temperature: { from: openedOn, dailyMeanC },
    timeStepDays: 0.25,
    scenarios: "all",
    ...(facts.reachPrior && { reachPrior: [...facts.reachPrior] as [number, number, number] }),
    events,
    asOf: addDays(asOf, 1),
  };
}

/** How it was on the days after one; after the last that is known it stays as it was then. */
function conditionsFrom(
  day: Day,
  asOf: Day,
  { warmth, humidity, restsOn }: Pick<CaseFacts, "warmth" | "humidity" | "restsOn">,
): Target["conditions"] {
  const means = warmth(day, asOf);
  if (means.length === 0) return undefined;
  const humid = humidity?.(day, asOf) ?? [];
  return (daysAfter) => {
    const i = Math.min(daysAfter, means.length - 1);
    return { meanC: means[i]!, humidity: humid[i] ?? null, rests: restsOn?.(addDays(day, daysAfter)) ?? false };
  };
}

/** What the air does to the laying of mites, in stretches of days on which it does the same to a twentieth. */
function layingInAir(from: Day, to: Day, humidity: HumidityBetween | undefined): FileEvent[] {
  const stretches: { begin: number; end: number; layFactor: number }[] = [];
  for (const [day, percent] of (humidity?.(from, to) ?? []).entries()) {
    const layFactor = Math.round(mitesLayIn(percent) * 20) / 20;
    const last = stretches.at(-1);
    if (last && last.layFactor === layFactor) last.end = day + 1;
    else stretches.push({ begin: day, end: day + 1, layFactor });
  }
  // As it is now it stays.
  return stretches
    .filter(({ layFactor }) => layFactor !== 1)
    .map(({ begin, end, layFactor }) => ({
      ...{ type: "lasting", at: addDays(from, begin), dailyHazard: {}, layFactor },
      until: addDays(from, end === stretches.at(-1)!.end ? end + AIR_STAYS_DAYS : end),
    })) as FileEvent[];
}

/** The air is taken to stay as it is now for so many days. */
const AIR_STAYS_DAYS = 60;

const isFind = (event: FileEvent) => event.type === "inspection" && event.found > 0;

/** A look, and before it what clean new leaves have told since the one before. */
function inspectionsOf(look: Look, at: string, pest: PestId, plant: CaseFacts["plant"], sees: number): FileEvent[] {
  const own = inspectionOf(look, at, pest, plant, sees);
  if (look.newLeaves === null || !marksNewLeaves(pest)) return [own];
  const chances = unmarked(pestOf(pest), look.newLeaves);
  const see = Object.fromEntries(
    pestOf(pest).stages.map(({ id }, i) => [id, [...chances[i]!] as [number, number, number]]),
  );
  return [{ type: "inspection", at, found: 0, removed: false, see }, own];
}

function inspectionOf(
  look: Look,
  at: string,
  pest: PestId,
  { growthForm }: CaseFacts["plant"],
  sees: number,
): FileEvent {
  const find = look.finds.find((one) => one.pest === pest);
  const there = spotsOf(growthForm);
  const spots = look.spots.filter((spot) => there.includes(spot));
  const search = { tool: look.tool, spots };
  const visible = seeChances(pestOf(pest), pest, growthForm, search).some((chances) =>
    chances.some((chance) => chance > 0),
  );
  const blind = find !== undefined && !visible;
  // Of a plant that was not turned, half of what was looked at was seen; and by this eye as much as is known of it.
  const share = (look.turned ? 1 : ONE_SIDE) * sees;
  const seen =
    share !== 1 && !blind && spots.length > 0
      ? sharedOf(share, pest, growthForm, search)
      : ({ look: { with: blind ? "loupe" : look.tool, spots: blind ? [...there] : spots } } as const);
  return {
    type: "inspection",
    at,
    found: find ? animalsIn(find) : 0,
    removed: find?.removed ?? false,
    ...(find && stagesOf(find.stages, pest, growthForm, blind ? { tool: "loupe", spots: there } : search)),
    ...(spots.length > 0 || blind ? seen : { see: {} }),
  };
}

/** The stages that were seen, as far as they are the pest's own and could have been seen that way. */
function stagesOf(
  named: readonly string[],
  pest: PestId,
  form: GrowthFormId,
  search: Search,
): { readonly stages?: string[] } {
  const chances = seeChances(pestOf(pest), pest, form, search);
  const stages = pestOf(pest).stages.filter(
    ({ id }, i) => named.includes(id) && chances[i]!.some((chance) => chance > 0),
  );
  return stages.length > 0 ? { stages: stages.map(({ id }) => id) } : {};
}

/** Of what a search sees by our estimate, so much. */
function sharedOf(
  share: number,
  pest: PestId,
  form: GrowthFormId,
  search: Search,
): Pick<Extract<FileEvent, { type: "inspection" }>, "see"> {
  const chances = seeShare(seeChances(pestOf(pest), pest, form, search), share);
  return {
    see: Object.fromEntries(
      pestOf(pest).stages.map(({ id }, i): [string, [number, number, number]] => [id, [...chances[i]!]]),
    ),
  };
}

/** An act in the words of the file: a spray by its names, everything else by its numbers. */
function eventsOf(
  { act, at }: ActDone,
  moment: (at: Date) => string,
  target: Target & { readonly weights: PestId },
  openedAt: Date,
): FileEvent[] {
  const there = spotsOf(target.form);
  if (act.kind === "contact" && at >= openedAt) {
    const spots = act.spots.filter((spot) => there.includes(spot));
    const { remedy, technique, potency, tool } = applicationOf(act);
    const how = { ...(potency !== 1 && { potency }), ...(tool && { with: tool }), ...(spots.length > 0 && { spots }) };
    return [{ type: "treatment", at: moment(at), remedy: remedyNames[remedy], technique, ...how }];
  }
  return eventsOfAct(act, target, 0).flatMap((event) => inNumbers(event, at, moment, target.weights, openedAt));
}

const DAY_MS = 86_400_000;

function inNumbers(event: ActEvent, at: Date, moment: (at: Date) => string, pest: PestId, openedAt: Date): FileEvent[] {
  const { stages } = pestOf(pest);
  const byStage = <T>(values: readonly T[]) => Object.fromEntries(stages.map(({ id }, i) => [id, values[i]!]));
  const after = (days: number) => new Date(at.getTime() + days * DAY_MS);
  if (event.kind === "lasting") {
    const [from, until] = [after(event.atDays), after(event.untilDays)];
    if (until <= openedAt) return [];
    const { layFactor, dailyHazard, cover } = event.effect;
    const begins = from < openedAt ? openedAt : from;
    const how = {
      dailyHazard: byStage(dailyHazard),
      layFactor,
      ...(cover && { cover: [...cover] as [number, number, number] }),
    };
    return [{ type: "lasting", at: moment(begins), until: moment(until), ...how }];
  }
  if (at < openedAt || event.kill.every(({ high }) => high === 0)) return [];
  const byPlace = (sites: TreatmentEvent["reach"]) =>
    Object.fromEntries(Object.entries(sites).map(([where, share]) => [where, [...share]]));
  const how = {
    ...(event.touch ? { touch: byStage(event.touch.map((sites) => [...sites])) } : { reach: byPlace(event.reach) }),
    ...(event.cover && { cover: byPlace(event.cover) }),
  };
  return [{ type: "treatment", at: moment(at), kill: byStage(event.kill), ...how } as FileEvent];
}
