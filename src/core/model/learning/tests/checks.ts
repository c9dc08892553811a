/** A draw from the log-normal with mean 1 (Box and Muller 1958). */
export function factorFrom(dice: () => number, spread: number): number {
  const normal = Math.sqrt(-2 * Math.log(1 - dice())) * Math.cos(2 * Math.PI * dice());
  return Math.exp(spread * normal - spread ** 2 / 2);
}

/** The mean of a factor between two bounds by Simpson's rule on 2,000 steps (textbook), from how likely its logarithm is, up to a factor. */
export function simpsonMean(density: (log: number) => number, least: number, most: number): number {
  const [low, high, n] = [Math.log(least), Math.log(most), 2000];
  let [above, below] = [0, 0];
  for (let i = 0; i <= n; i++) {
    const log = low + ((high - low) * i) / n;
    const weight = (i === 0 || i === n ? 1 : i % 2 === 1 ? 4 : 2) * density(log);
    above += weight * Math.exp(log);
    below += weight;
  }
  return above / below;
}
