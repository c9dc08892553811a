import type { PotEffect, PotTreatment } from "../../../acts/inPots";

/**
 * Gnats of one room: eggs, larvae and pupae each in their pot, grown flies common to the room. A multi-type branching process in
 * discrete time, as on one plant, with a pot instead of a site; a fly lays into a pot by its weight. Cards count what flies, slices of
 * potato what creeps in a pot.
 */

/** What takes flies out of the air for a while. `perDay` is the daily hazard; caught flies are counted only on cards. */
export interface AirTrap {
  readonly fromDay: number;
  readonly untilDay: number;
  readonly perDay: number;
  readonly counted: boolean;
}

/** What was counted on all cards of the room together, over the days before. */
export interface CardCount {
  readonly atDay: number;
  readonly overDays: number;
  readonly count: number;
}

/** Larvae found on a slice of potato that lay on a pot for three or four days. */
export interface SliceCount {
  readonly atDay: number;
  readonly pot: number;
  readonly larvae: number;
}

export interface GnatRoom {
  /** How much of the laying each pot draws; not all 0. */
  readonly weights: readonly number[];
  /** How many larvae each pot feeds, pot by pot; without end where left out. */
  readonly ceilings?: readonly number[];
  /** Mean warmth of each day from day 0 on, °C; the last holds for all days after. Not empty. */
  readonly dailyMeanC: readonly number[];
  readonly effects: readonly PotEffect[];
  readonly treatments: readonly PotTreatment[];
  readonly traps: readonly AirTrap[];
  readonly cards: readonly CardCount[];
  readonly slices: readonly SliceCount[];
}
