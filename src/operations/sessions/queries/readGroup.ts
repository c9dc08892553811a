import type { Act } from "@/core/acts/acts";
import type { Day } from "@/core/shared/days";
import type { ToolId } from "@/core/model/inspection/tools";
import { winterStepIds, type WinterStepId } from "@/core/advice/seasons/wintering";
import { doseOf, nextTreatment, planInForce } from "@/core/advice/plans/plans";
import { placesInRecord, type PlantRecord } from "@/core/record/cases/record";
import { standing } from "@/core/record/facts/facts";
import { byCode } from "@/core/knowledge/plants/codes";
import { idIn } from "@/core/shared/fields";
import { assertNever } from "@/core/shared/assertNever";
import { groupBy } from "@/core/shared/groupBy";
import { isKnownPest, type PestId } from "@/core/knowledge/pests/pests";
import { usualTool } from "@/core/record/facts/settings";
import { lineOf, lookLine, type SessionPlant, type SessionStep } from "@/core/advice/sessions/session";
import type { Scope } from "@/db/connection";
import { inParallel } from "@/db/query";
import * as cases from "@/db/stores/cases/cases";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import * as walks from "@/db/stores/walks/walks";
import { instantOf } from "@/zones";
import { scopeOf, today, type Context } from "../../shared/context";
import { plantsInCase } from "../../cases/openCases";
import { bearerOn } from "../../plants/onPlant";
import { cardOf } from "../../plants/plantCard";
import { treatedRecords, type TreatedRecord } from "../../plants/treatedRecords";
import { beforehand } from "../beforehand";
import type { GivenStepId, GroupPlant, SessionView } from "../sessionView";
import { readRounds, type RoundLine } from "../../walks/queries/readRounds";
import { winteringNow, type WinterLine } from "../../seasons/winteringNow";

/** Groups for which it is known what is done: of a way in for winter out of a place those of tonight, all that are left, and those whose turn to be sprayed again has come; of a round of prevention those of tonight. */
export const givenGroups = ["winter", "winterAll", "winterAgain", "round"] as const;
export type GivenGroup = (typeof givenGroups)[number];

/** Which plants a session is for. */
export type GroupAsked =
  | { readonly who: "place" | "walk"; readonly id: string }
  | { readonly who: "pest"; readonly pest: PestId }
  | { readonly who: "atRisk" }
  | { readonly who: "apart" }
  | { readonly who: GivenGroup; readonly id: string };

export interface GroupView extends SessionView {
  /** How many there are in all, where that is more than are read. */
  readonly all: number;
  readonly places: readonly { readonly id: string; readonly name: string; readonly plants: number }[];
  readonly pests: readonly { readonly pest: PestId; readonly plants: number }[];
}

/** A session has so many plants at most. */
const MOST = 200;
/** In the place of an id: the whole collection. */
const ALL = "all";

/** Reads what an address asks for; null for nothing. */
export function groupAsked(who: unknown, id: unknown): GroupAsked | null {
  if (who === "atRisk") return { who };
  if (who === "apart") return { who };
  const given = givenGroups.find((one) => one === who);
  if (given) return typeof id === "string" && (id === ALL || idIn(id)) ? { who: given, id } : null;
  if (who === "pest" && typeof id === "string" && isKnownPest(id)) return { who, pest: id };
  const own = (who === "place" || who === "walk") && typeof id === "string" ? idIn(id) : null;
  return own ? { who: who as "place" | "walk", id: own } : null;
}

/** The plants of a session with all that bears on what is done to them, and the groups that may be chosen. */
export async function readGroup(context: Context, asked: GroupAsked | null): Promise<GroupView> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const given = asked && isGiven(asked) ? await givenIn(context, asked) : null;
  const [standingAt, open, all] = await inParallel(
    scope,
    () => plantStates.countByPlace(scope),
    () => cases.open(scope),
    () => places.all(scope),
  );
  const { isWithin } = placesInRecord(all);
  const infested = groupBy(open, ({ pest }) => pest);
  const chosen = await chosenIn(scope, asked, {
    places: all.map(({ id }) => id),
    within: (placeId) => all.filter(({ id }) => isWithin(id, placeId)).map(({ id }) => id),
    infestedBy: (pest) => (infested.get(pest) ?? []).map(({ plantId }) => plantId),
    given: () => [...given!.asks.keys()],
  });
  const taken = chosen.listed;
  const since = given?.since ?? day;
  const of = await groupRecords(scope, new Set(taken.map(({ id }) => id)), since);
  const names = new Map(all.map(({ id, name }) => [id, name]));
  const plants = taken.flatMap((row): GroupPlant[] => {
    const record = of.treated.get(row.id);
    if (!record) return [];
    return [
      {
        ...{ plantId: row.id, code: row.code, bearer: bearerOn(context, record, day), card: cardOf(row, day) },
        cases: openCasesOf(of.inCase.get(row.id), day),
        ...{ placeId: row.placeId, placeName: names.get(row.placeId) ?? "" },
        minutes: given?.asks.get(row.id)?.minutes ?? null,
        lately: { acts: actsSince(record, since), looked: of.looked.has(row.id) },
      },
    ];
  });
  return {
    plants,
    ...(await beforehand(context, scope, plants)),
    steps: given && stepsOf(plants, given, usualTool(context.collection.owns)),
    all: chosen.all,
    places: all
      .map(({ id, name }) => ({
        ...{ id, name },
        plants: standingAt.reduce((sum, at) => sum + (isWithin(at.placeId, id) ? at.plants : 0), 0),
      }))
      .filter(({ plants }) => plants > 0),
    pests: [...infested].map(([pest, some]) => ({ pest, plants: new Set(some.map(({ plantId }) => plantId)).size })),
  };
}

interface Ids {
  /** Every place, in the order in which hands go. */
  readonly places: readonly string[];
  readonly within: (placeId: string) => readonly string[];
  readonly infestedBy: (pest: PestId) => readonly string[];
  readonly given: () => readonly string[];
}

interface ChosenPlants {
  readonly all: number;
  readonly listed: readonly plantStates.ListedPlant[];
}

/** The plants that a session is for, place by place, up to as many as one has; and how many there are. */
async function chosenIn(scope: Scope, asked: GroupAsked | null, ids: Ids): Promise<ChosenPlants> {
  // At risk may be thousands.
  if (asked?.who === "atRisk") return plantStates.firstInState(scope, "atRisk", ids.places, MOST);
  const listed = await listedIn(scope, asked, ids);
  const rank = new Map(ids.places.map((id, i) => [id, i]));
  const rankOf = ({ placeId }: plantStates.ListedPlant) => rank.get(placeId) ?? rank.size;
  const inOrder = listed.toSorted((a, b) => rankOf(a) - rankOf(b) || byCode(a.code, b.code));
  return { all: listed.length, listed: inOrder.slice(0, MOST) };
}

/** The plants in use that a session is for, and no others: of thousands none is read that does not belong to it. */
async function listedIn(
  scope: Scope,
  asked: Exclude<GroupAsked, { who: "atRisk" }> | null,
  ids: Ids,
): Promise<plantStates.ListedPlant[]> {
  const inUse = async (some: readonly string[]) => (await plantStates.of(scope, some)).filter((row) => !row.archived);
  switch (asked?.who) {
    case undefined:
      return [];
    case "place":
      return plantStates.standingIn(scope, ids.within(asked.id));
    case "walk":
      return inUse(await walks.memberIds(scope, asked.id));
    case "pest":
      return inUse([...new Set(ids.infestedBy(asked.pest))]);
    case "apart":
      return (await plantStates.apartOrInfested(scope)).filter(({ apart }) => apart);
    case "winter":
    case "winterAll":
    case "winterAgain":
    case "round":
      return inUse(ids.given());
    default:
      return assertNever(asked);
  }
}

const isGiven = (asked: GroupAsked): asked is Extract<GroupAsked, { who: GivenGroup }> =>
  givenGroups.some((one) => one === asked.who);

interface Asks {
  readonly work: readonly { readonly step: WinterStepId | "round"; readonly act: Act | null }[];
  readonly minutes: number | null;
}

/** What a programme asks of plants, step by step, and since when what is on record counts for it. */
interface Given {
  readonly since: Day;
  readonly asks: ReadonlyMap<string, Asks>;
}

async function givenIn(context: Context, { who, id }: Extract<GroupAsked, { who: GivenGroup }>): Promise<Given> {
  const day = today(context);
  if (who === "round") {
    const { rounds } = await readRounds(context);
    const tonight = rounds.find(({ placeId }) => (placeId ?? ALL) === id)?.tonight ?? [];
    const asksOf = ({ plant, act }: RoundLine): [string, Asks] => [
      plant.id,
      { work: [{ step: "round", act }], minutes: null },
    ];
    return { since: day, asks: new Map(tonight.map(asksOf)) };
  }
  const programme = (await winteringNow(context, scopeOf(context, "read"))).programmes.find(
    ({ placeId }) => placeId === id,
  );
  if (!programme) return { since: day, asks: new Map() };
  const { tonight, open, begunToday, again, inside } = programme;
  if (who === "winterAgain") {
    const due = [...again, ...inside].filter(({ on }) => on <= day).map(({ line }) => line);
    const asksOf = ({ plant, work }: WinterLine): [string, Asks] => [
      plant.id,
      { work: work.filter(({ step }) => step === "spray" || step === "sponge"), minutes: null },
    ];
    return { since: day, asks: new Map(due.map(asksOf)) };
  }
  const lines = [...(who === "winter" ? tonight : open), ...begunToday];
  return {
    since: programme.beginsOn,
    asks: new Map(lines.map(({ plant, work, minutes }) => [plant.id, { work, minutes }])),
  };
}

/** The steps in the order in which they are done, each with the plants that have it. Cutting is for those that need it. */
function stepsOf(plants: readonly GroupPlant[], { asks }: Given, tool: ToolId): readonly SessionStep<GivenStepId>[] {
  const steps = [...winterStepIds, "round" as const].map((id): SessionStep<GivenStepId> => {
    const lines = plants.flatMap((plant) =>
      (asks.get(plant.plantId)?.work ?? [])
        .filter(({ step }) => step === id)
        .map(({ act }) => (act ? lineOf(plant, act) : lookLine(plant, tool))),
    );
    return { id, lines, ...(id === "prune" && { optional: true }) };
  });
  return steps.filter(({ lines }) => lines.length > 0);
}

/**
 * What is read of the plants of a session: what was done to them, their cases, and which were looked at since a day. Of hundreds of plants
 * nothing else is.
 */
async function groupRecords(scope: Scope, ids: ReadonlySet<string>, since: Day) {
  const from = instantOf(`${since}T00:00`, scope.timeZone);
  const all = [...ids];
  const [{ records: treated }, inCase, looks] = await inParallel(
    scope,
    () => treatedRecords(scope, all),
    () => plantsInCase(scope, ids),
    () => facts.since(scope, "look", new Map(all.map((id) => [id, from]))),
  );
  return {
    treated,
    inCase: new Map(inCase.map(({ listed, record }) => [listed.id, record])),
    looked: new Set(standing(looks).map(({ plantId }) => plantId)),
  };
}

function openCasesOf(record: PlantRecord | undefined, day: Day): SessionPlant["cases"] {
  return (record?.cases ?? []).flatMap((found) => {
    if (!found.open) return [];
    const plan = planInForce(found, record!.cases, record!);
    const next = plan && nextTreatment(plan);
    const due = next?.dose && next.dueOn <= day ? { stepId: next.id, dose: doseOf(next.dose) } : null;
    return [{ caseId: found.id, pest: found.pest, due }];
  });
}

function actsSince({ acts, plant }: TreatedRecord, since: Day): GroupPlant["lately"]["acts"] {
  return standing(acts)
    .filter(({ plantId, day }) => plantId === plant.id && day >= since)
    .map(({ id, act }) => ({ id, act }));
}
