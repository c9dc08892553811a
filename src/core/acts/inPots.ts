/** Something that changes life in some pots for a while, at its full strength. */
export interface PotEffect {
  readonly fromDay: number;
  readonly untilDay: number;
  /** The pots it is done to, by their place in the room. */
  readonly pots: readonly number[];
  /** Deaths a day of what lives in the mix: egg, larva, pupa. */
  readonly dailyHazard: readonly [egg: number, larva: number, pupa: number];
  /** Factor on the eggs that are laid into these pots. */
  readonly layFactor: number;
}

/** Something that kills at once in some pots, at its full strength: the share of egg, larva and pupa. */
export interface PotTreatment {
  readonly atDay: number;
  readonly pots: readonly number[];
  readonly kill: readonly [egg: number, larva: number, pupa: number];
}

/** What an act does to the gnats in pots of a room. */
export interface InPots {
  readonly effects: readonly PotEffect[];
  readonly treatments: readonly PotTreatment[];
}

/** On which day and to which pots something is done, and how warm it is then; unknown where left out. */
export interface DoneToPots {
  readonly day: number;
  readonly pots: readonly number[];
  readonly meanC: number | undefined;
}

export const nothingInPots: InPots = { effects: [], treatments: [] };

/** What makes the mixes a worse place for so many days. */
export function keptUp(
  { layFactor, larvaHazard }: { readonly layFactor: number; readonly larvaHazard: number },
  days: number,
  { day, pots }: DoneToPots,
): InPots {
  if (layFactor === 1 && larvaHazard === 0) return nothingInPots;
  const dailyHazard = [larvaHazard, larvaHazard, 0] as const;
  return { ...nothingInPots, effects: [{ fromDay: day, untilDay: day + days, pots, dailyHazard, layFactor }] };
}
