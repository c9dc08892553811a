import { byCode } from "@/core/knowledge/plants/codes";
import { addDays, daysBetween, type Day } from "@/core/shared/days";
import type { Chosen } from "@/core/record/facts/kinds/roomProgramme";
import { idIn } from "@/core/shared/fields";
import { gnatDues, plannedWays, type GnatDue } from "@/core/advice/seasons/gnats/due";
import { beginOf, roomOf, type RoomAct, type RoomCount } from "@/core/advice/seasons/gnats/fromRecord";
import { judgeGnats, type GnatJudgement } from "@/core/advice/seasons/gnats/judge";
import { isTender } from "@/core/advice/seasons/gnats/pots";
import { gnatLifeDays, gnatVerdict, type GnatVerdict } from "@/core/advice/seasons/gnats/verdict";
import type { GnatWayId } from "@/core/acts/gnatWayIds";
import { wayOfAct } from "@/core/acts/acts";
import { gnatPackages, gnatWays, type GnatPlaceSize } from "@/core/acts/gnatWays";
import { ofKind } from "@/core/advice/seasons/running";
import { dayOf, scopeOf, today, type Context } from "../../shared/context";
import * as placePhotos from "@/db/stores/places/placePhotos";
import { programmesNow, roomOnRecord, type RoomOnRecord } from "../roomOnRecord";

/** What ways together come to if everything is done on its day. */
export interface GnatPackage {
  readonly ways: readonly GnatWayId[];
  /** The chance that it is over in eight weeks. */
  readonly pOver: number;
  /** Flies on the cards in the week after: expected, and the span that holds eight in ten. */
  readonly week: GnatJudgement["weeks"][number];
  readonly minutes: number;
}

export interface GnatPot {
  readonly plantId: string;
  readonly code: string;
  readonly name: string;
  /** Share of what lives in the room's mixes, 0–1; 0 while nothing was counted. */
  readonly share: number;
  /** How much of the laying it draws, by how wide and how wet it is. */
  readonly draws: number;
}

export interface GnatRoomView {
  readonly place: { readonly id: string; readonly name: string };
  readonly day: Day;
  /** The first day that is reckoned with. */
  readonly begin: Day;
  readonly running: { readonly begunOn: Day; readonly chosen: Chosen<"gnats"> } | null;
  readonly judged: GnatJudgement | null;
  readonly verdict: GnatVerdict;
  readonly dues: readonly GnatDue[];
  /** Ways that are in force now. */
  readonly inForce: readonly GnatWayId[];
  readonly counts: readonly RoomCount[];
  /** Photos of cards with what was counted on each day's, the newest first. */
  readonly cardPhotos: readonly { readonly id: string; readonly day: Day; readonly count: number }[];
  readonly cards: number;
  /** When the cards that hung last ran out; null while some hang, or none ever did. */
  readonly ranOutOn: Day | null;
  readonly pots: readonly GnatPot[];
  /** The plants in the order in which the judgement and the verdict count their pots. */
  readonly potOrder: readonly string[];
  readonly size: GnatPlaceSize;
  readonly packages: readonly GnatPackage[];
  readonly lifeDays: number | null;
  readonly meanC: number;
  readonly known: boolean;
}

const AHEAD_DAYS = 56;

/** A room with its gnats: what cards say, what is due, what each way would come to. Null for no such place. */
export async function readGnatRoom(context: Context, asked: string): Promise<GnatRoomView | null> {
  const id = idIn(asked);
  const scope = scopeOf(context, "read");
  const day = today(context);
  const room = id ? await roomOnRecord(scope, id, day) : null;
  if (!room || !id) return null;
  const { record, size, plants } = room;
  const running = ofKind(await programmesNow(scope), "gnats").find(({ placeId }) => placeId === id) ?? null;
  const begin = beginOf(record, day);
  const draws = record.pots.some(({ weight }) => weight > 0);
  const chosen = running?.chosen.ways ?? [];
  const judged = draws ? judge(room, begin, day, chosen, running?.begunOn ?? day, day) : null;
  const cards = cardsNow(record.acts, day) ?? size.cards;
  const verdict = gnatVerdict(
    {
      ...{ judged, counts: record.counts, cards, begunOn: running?.begunOn ?? day },
      ...{ clearFrom: context.collection.clearPercent / 100, tender: plants.some(isTender), meanC: room.meanC },
    },
    day,
  );
  const inMixes = judged?.inPots.reduce((sum, n) => sum + n, 0) ?? 0;
  return {
    place: { id, name: room.place.name },
    ...{ day, begin, running, judged, verdict, cards, size },
    ranOutOn: ranOut(record.acts, day),
    dues: running ? gnatDues(running, record.acts, record.counts, day) : [],
    inForce: inForceOn(record.acts, day),
    counts: record.counts.filter((one) => one.day >= begin),
    cardPhotos: (await placePhotos.ofCounts(scope, id)).map(({ at, ...one }) => ({ ...one, day: dayOf(context, at) })),
    pots: plants
      .map(({ id: plantId, code, name }, pot) => ({
        ...{ plantId, code, name },
        share: inMixes > 0 ? judged!.inPots[pot]! / inMixes : 0,
        draws: record.pots[pot]!.weight,
      }))
      // Until anything was counted those that draw most come first: the widest and the wettest.
      .toSorted((a, b) => b.share - a.share || b.draws - a.draws || byCode(a.code, b.code)),
    potOrder: plants.map((plant) => plant.id),
    packages:
      judged && verdict.code !== "over"
        ? packagesOf([...gnatPackages, ...(chosen.length > 0 ? [chosen] : [])]).map((ways) => {
            const then = judge(room, begin, day, ways, day, addDays(day, AHEAD_DAYS))!;
            const planned = plannedWays(
              { begunOn: day, chosen: { programme: "gnats", ways: [...ways] } },
              record.acts,
              day,
              AHEAD_DAYS,
            );
            const minutes = planned.reduce((sum, { way }) => sum + gnatWays[way].minutes(size), 0);
            return { ways, pOver: then.pOver, week: then.weeks[0]!, minutes };
          })
        : [],
    lifeDays: gnatLifeDays(room.meanC),
    meanC: room.meanC,
    known: room.known,
  };
}

/** Each set of ways once, whatever its order. */
function packagesOf(all: readonly (readonly GnatWayId[])[]): readonly (readonly GnatWayId[])[] {
  return [...new Map(all.map((ways) => [[...ways].toSorted().join(), ways])).values()];
}

/** The room as it will be on a day, if these ways are carried out from today on. */
function judge(
  { record, size }: RoomOnRecord,
  begin: Day,
  day: Day,
  ways: readonly GnatWayId[],
  begunOn: Day,
  asOf: Day,
): GnatJudgement | null {
  const planned = plannedWays(
    { begunOn, chosen: { programme: "gnats", ways: [...ways] } },
    record.acts,
    day,
    AHEAD_DAYS,
  );
  const plantIds = record.pots.map(({ plantId }) => plantId);
  const coming = planned.map(({ way, day: on }): RoomAct => ({ act: gnatWays[way].act(size), day: on, plantIds }));
  const room = roomOf(record, coming, begin, asOf);
  return judgeGnats(room, daysBetween(begin, asOf));
}

function inForceOn(acts: readonly RoomAct[], day: Day): readonly GnatWayId[] {
  const now = acts.flatMap(({ act, day: on }) => {
    const way = wayOfAct(act);
    const until = "days" in act ? addDays(on, act.days) : addDays(on, 7);
    return way && on <= day && until > day ? [way] : [];
  });
  return [...new Set(now)];
}

function ranOut(acts: readonly RoomAct[], day: Day): Day | null {
  const ends = acts.flatMap(({ act, day: on }) => {
    return act.kind === "trap" && wayOfAct(act) === "cards" && on <= day ? [addDays(on, act.days)] : [];
  });
  const last = ends.toSorted().at(-1);
  return last !== undefined && last <= day ? last : null;
}

/** The cards that hang on a day; null where none do. */
function cardsNow(acts: readonly RoomAct[], day: Day): number | null {
  const hung = acts.filter(({ act, day: on }) => wayOfAct(act) === "cards" && on <= day).at(-1)?.act;
  return hung?.kind === "trap" ? hung.cards : null;
}
