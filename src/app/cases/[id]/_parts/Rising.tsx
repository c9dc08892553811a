import { percent } from "@/wording/chances";

const WIDTH = 72;
const HEIGHT = 24;

/** A small line: the chance that it is over were the treatments to stop after the first, the second and so on. */
export function Rising({ chances }: { chances: readonly number[] }) {
  if (chances.length < 2) return null;
  const x = (i: number) => 2 + ((WIDTH - 4) * i) / (chances.length - 1);
  const y = (chance: number) => HEIGHT - 2 - (HEIGHT - 4) * chance;
  const points = chances.map((chance, i) => `${x(i).toFixed(1)},${y(chance).toFixed(1)}`);
  return (
    <svg
      className="rising"
      width={WIDTH}
      height={HEIGHT}
      role="img"
      aria-label={`From ${percent(chances[0]!)} after the first treatment to ${percent(chances.at(-1)!)} after the last`}
    >
      <line x1={0} x2={WIDTH} y1={HEIGHT - 1.5} y2={HEIGHT - 1.5} className="ground" />
      <polyline points={points.join(" ")} />
      {chances.map((chance, i) => (
        <circle key={i} cx={x(i)} cy={y(chance)} r={1.8} />
      ))}
    </svg>
  );
}
