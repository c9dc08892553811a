import { mixesOf } from "@/core/knowledge/mixes/mixes";
import { potencyAt, strengthOf } from "@/core/knowledge/mixes/potency";
import { pests } from "@/core/knowledge/pests/pests";
import { killOf, type RemedyId } from "@/core/knowledge/remedies/remedies";
import { percent } from "@/wording/advice/chances";
import { mixNames } from "@/wording/names/names";

const WIDTH = 420;
const HEIGHT = 180;
const LEFT = 54;
const BOTTOM = 26;
const POINTS = 60;
/** How far the scale goes, in the remedy's own measure, and how it is told. */
const scales: Partial<Record<RemedyId, { readonly most: number; readonly tell: (strength: number) => string }>> = {
  alcohol: { most: 0.9, tell: (s) => `${Math.round(s * 1000) / 10} %` },
  soap: { most: 20, tell: (s) => `${Math.round(s)} mL/L` },
  oil: { most: 4, tell: (s) => `${Math.round(s * 10) / 10} %` },
  neem: { most: 16, tell: (s) => `${Math.round(s)} mL/L` },
};

/** Whether a remedy is mixed by the keeper at all, and not as its label says. */
export const hasStrengths = (remedy: RemedyId) => scales[remedy] !== undefined;

/** Strength against effect: of adult mealybugs that are touched so many die, with the mixes a keeper makes marked. */
export function StrengthCurve({ remedy }: { remedy: RemedyId }) {
  const { most, tell } = scales[remedy]!;
  const adult = pests.mealybug.stages.at(-1)!;
  const dies = (strength: number) => killOf(remedy, "mealybug", adult, potencyAt(remedy, strength)).likely;
  const x = (strength: number) => LEFT + ((WIDTH - LEFT - 8) * strength) / most;
  const y = (chance: number) => 8 + (HEIGHT - BOTTOM - 8) * (1 - chance);
  const line = Array.from({ length: POINTS + 1 }, (_, i) => {
    const strength = (most * i) / POINTS;
    return `${x(strength).toFixed(1)},${y(i === 0 ? 0 : dies(strength)).toFixed(1)}`;
  });
  const mixes = mixesOf(remedy).map((mix) => ({ mix, strength: strengthOf(mix) }));
  return (
    <svg
      className="strength-curve"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Share of adult mealybugs killed when touched: ${mixes.map(({ mix, strength }) => `${mixNames[mix]} ${percent(dies(strength))}`).join(", ")}`}
    >
      {[0, 0.5, 1].map((chance) => (
        <g key={chance}>
          <line x1={LEFT} x2={WIDTH - 8} y1={y(chance)} y2={y(chance)} className="ground" />
          <text x={LEFT - 6} y={y(chance) + 5} textAnchor="end">
            {percent(chance)}
          </text>
        </g>
      ))}
      <polyline points={line.join(" ")} />
      {mixes.map(({ mix, strength }) => (
        <g key={mix}>
          <circle cx={x(strength)} cy={y(dies(strength))} r={5} />
          <text x={x(strength)} y={HEIGHT - 6} textAnchor="middle">
            {tell(strength)}
          </text>
        </g>
      ))}
    </svg>
  );
}
