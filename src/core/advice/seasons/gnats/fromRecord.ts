import { inPotsOf, type Act } from "../../../acts/acts";
import { addDays, daysBetween, type Day } from "../../../shared/days";
import type { CountedOn } from "../../../record/facts/kinds/trapCount";
import { cardHazard, cupHazard } from "../../../knowledge/remedies/lasting";
import type { AirTrap, CardCount, GnatRoom } from "./room";

/** A pot of the room, with how much of the laying it draws. */
export interface RoomPot {
  readonly plantId: string;
  readonly weight: number;
  /** How many larvae it feeds; without end where left out. */
  readonly feeds?: number;
}

/** Something done to the room or to one of its plants. */
export interface RoomAct {
  readonly act: Act;
  readonly day: Day;
  /** The plants of the room that it was done to. */
  readonly plantIds: readonly string[];
}

export interface RoomCount {
  readonly what: CountedOn;
  readonly plantId: string | null;
  readonly days: number;
  readonly count: number;
  readonly day: Day;
}

/** Everything on record of a room's gnats; what was struck out is left out already. */
export interface RoomRecord {
  readonly pots: readonly RoomPot[];
  readonly acts: readonly RoomAct[];
  readonly counts: readonly RoomCount[];
  /** Mean warmth from a day to another, both included. */
  readonly warmth: (from: Day, to: Day) => readonly number[];
}

/** A card serves ten pots; where fewer stand it does no more (HOUSE). */
const POTS_A_CARD = 10;
/** However many cards hang, no more than this of the flies are caught a day (HOUSE). */
const MOST_A_DAY = 0.35;

const KEPT_DAYS = 366;

const perCard = cardHazard.fungusGnat!["adult"]!;
const perCup = cupHazard.fungusGnat!["adult"]!;

/** What flies meet on `cards` cards or cups among so many pots, deaths a day. @example trapRate(2, 10, perCard) // 0.167 */
function trapRate(cards: number, pots: number, each: number): number {
  return Math.min(MOST_A_DAY, cards * each * Math.min(1, POTS_A_CARD / pots));
}

/** The day from which on a room is reckoned. */
export function beginOf({ counts, acts }: Pick<RoomRecord, "counts" | "acts">, today: Day): Day {
  const first = [...counts.map(({ day }) => day), ...acts.map(({ day }) => day), today].toSorted()[0]!;
  // Half a year is more than five lives of a gnat.
  const earliest = addDays(today, -182);
  return first < earliest ? earliest : first;
}

/**
 * A room as the model takes it, its day 0 at `begin`: the pots, what was done to which, what was counted. `coming` is what is planned.
 * Source: rates as on single plants (HOUSE). @example roomOf({ pots, acts: [], counts: [], warmth }, [], begin, until).cards // []
 */
export function roomOf(record: RoomRecord, coming: readonly RoomAct[], begin: Day, until: Day): GnatRoom {
  const at = (day: Day) => daysBetween(begin, day);
  const placeOf = new Map(record.pots.map(({ plantId }, i) => [plantId, i]));
  const potsOf = ({ plantIds }: RoomAct) => plantIds.flatMap((id) => placeOf.get(id) ?? []);
  // Whatever is kept up is so for a year at most.
  const acts = [...record.acts, ...coming]
    .filter((one) => at(one.day) >= -KEPT_DAYS)
    .toSorted((a, b) => (a.day < b.day ? -1 : 1));
  const meanC = (day: Day) => record.warmth(day, day)[0];
  const done = acts.map((one) => inPotsOf(one.act, { day: at(one.day), pots: potsOf(one), meanC: meanC(one.day) }));
  const effects = done.flatMap((one) => one.effects);
  const treatments = done.flatMap((one) => one.treatments);
  const hung = acts.filter(({ act }) => act.kind === "trap");
  const traps = hung.map((one, i): AirTrap => {
    const act = one.act as Extract<Act, { kind: "trap" }>;
    const lure = act.lure ?? "card";
    // Hung anew, or changed, the old ones come down.
    const next = hung.slice(i + 1).find((other) => ((other.act as typeof act).lure ?? "card") === lure);
    const until = at(one.day) + act.days;
    return {
      fromDay: at(one.day),
      untilDay: next ? Math.min(until, at(next.day)) : until,
      perDay: trapRate(act.cards, record.pots.length, lure === "card" ? perCard : perCup),
      counted: lure === "card",
    };
  });
  const counted = record.counts.filter(({ day }) => at(day) >= 0);
  const cards = cardsOf(counted, at);
  return {
    weights: record.pots.map(({ weight }) => weight),
    ceilings: record.pots.map(({ feeds = Infinity }) => feeds),
    dailyMeanC: record.warmth(begin, until),
    effects,
    treatments,
    traps: [...traps, ...unwritten(cards, traps, record.pots.length)],
    cards,
    slices: counted.flatMap(({ what, plantId, day, count }) => {
      const pot = what === "slice" && plantId !== null ? placeOf.get(plantId) : undefined;
      return pot === undefined ? [] : [{ atDay: at(day), pot, larvae: count }];
    }),
  };
}

/** Counts on cards by day: of one day they are of several cards, and are taken together. */
function cardsOf(counted: readonly RoomCount[], at: (day: Day) => number): readonly CardCount[] {
  const byDay = new Map<number, CardCount>();
  for (const { what, day, days, count } of counted) {
    if (what !== "cards") continue;
    const atDay = at(day);
    const there = byDay.get(atDay);
    byDay.set(atDay, {
      atDay,
      overDays: Math.max(days, there?.overDays ?? 0),
      count: count + (there?.count ?? 0),
    });
  }
  return [...byDay.values()].toSorted((a, b) => a.atDay - b.atDay);
}

/** Cards that nobody wrote down as hung, and on which flies were counted all the same: one, as long as it was counted over. */
function unwritten(cards: readonly CardCount[], traps: readonly AirTrap[], pots: number): readonly AirTrap[] {
  return cards.flatMap(({ atDay, overDays }) => {
    const fromDay = atDay - overDays;
    const hung = traps.some((trap) => trap.counted && trap.fromDay < atDay && trap.untilDay > fromDay);
    return hung ? [] : [{ fromDay, untilDay: atDay, perDay: trapRate(1, pots, perCard), counted: true }];
  });
}
