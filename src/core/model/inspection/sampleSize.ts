/**
 * How many of `lot` leaves (or plants) to examine so that, if at least `infested` of them carry the pest, one of those is
 * seen with the wanted `confidence`; `efficacy` is the chance that an examined one that carries it is recognised.
 *
 * Without replacement, so the hypergeometric distribution, here with the carriers thinned by efficacy. Gives `lot` when even
 * all of them are not enough. Throws RangeError unless 0 < infested ≤ lot, both whole, and 0 < confidence, efficacy ≤ 1.
 * Source: ISPM 31, Methodologies for sampling of consignments (FAO 2008), appendix 2: hypergeometric sampling.
 * @example sampleOf(200, 2, 0.95) // 155
 */
export function sampleOf(lot: number, infested: number, confidence: number, efficacy = 1): number {
  check(confidence, efficacy);
  if (!(Number.isInteger(lot) && Number.isInteger(infested) && infested > 0 && infested <= lot)) {
    throw new RangeError(`${infested} of ${lot} cannot be infested`);
  }
  for (let n = 1; n <= lot; n++) if (1 - missAll(lot, infested, n, efficacy) >= confidence) return n;
  return lot;
}

/**
 * As {@link sampleOf} for a plant with so many leaves that a few more or less do not matter: `share` of them carry the pest.
 * Source: ISPM 31 (FAO 2008), appendix 3: binomial sampling, n = ln(1 − confidence) / ln(1 − efficacy · share), rounded up.
 * @example sampleOfMany(0.01, 0.95) // 299
 */
export function sampleOfMany(share: number, confidence: number, efficacy = 1): number {
  check(confidence, efficacy);
  if (!(share > 0 && share <= 1)) throw new RangeError(`a share is above 0 and at most 1, got ${share}`);
  if (share * efficacy === 1) return 1;
  if (confidence === 1) return Infinity;
  // A hair is taken off, so that a whole number reached exactly is not rounded up by the last bit.
  return Math.ceil(Math.log(1 - confidence) / Math.log(1 - efficacy * share) - 1e-9);
}

/** Chance that none of the carriers is recognised when `n` are examined: each drawn carrier is missed with 1 − efficacy. */
function missAll(lot: number, infested: number, n: number, efficacy: number): number {
  let total = 0;
  let probability = noneDrawn(lot, infested, n);
  const most = Math.min(infested, n);
  let drawn = Math.max(0, n - (lot - infested));
  for (; drawn <= most; drawn++) {
    total += probability * (1 - efficacy) ** drawn;
    // From one number of drawn carriers to the next, by the ratio of two hypergeometric terms.
    probability *= ((infested - drawn) * (n - drawn)) / ((drawn + 1) * (lot - infested - n + drawn + 1));
  }
  return total;
}

/** The hypergeometric probability of the fewest carriers that can be drawn. */
function noneDrawn(lot: number, infested: number, n: number): number {
  const clean = lot - infested;
  let log = 0;
  if (n <= clean) for (let i = 0; i < n; i++) log += Math.log((clean - i) / (lot - i));
  else for (let i = 0; i < lot - n; i++) log += Math.log((infested - i) / (lot - i));
  return Math.exp(log);
}

function check(confidence: number, efficacy: number): void {
  if (!(confidence > 0 && confidence <= 1))
    throw new RangeError(`a confidence is above 0 and at most 1: ${confidence}`);
  if (!(efficacy > 0 && efficacy <= 1)) throw new RangeError(`an efficacy is above 0 and at most 1: ${efficacy}`);
}
