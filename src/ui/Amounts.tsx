import { labelled, type Bottle } from "@/core/knowledge/household/bottles";
import { mixes, pour, type MixId } from "@/core/knowledge/mixes/mixes";
import type { SpoonSet } from "@/core/units/spoons";
import { mL } from "@/core/units/volume";
import { inSpoons, measuredIn } from "@/wording/amounts";
import { volumeIn } from "@/wording/units";
import { ingredientNames } from "@/wording/names/names";

export interface Measuring {
  readonly units: "metric" | "us";
  readonly spoons: SpoonSet;
  readonly alcoholPercent: number;
  /** What is in the cupboard: where a label says how much goes into a litre, that holds. */
  readonly bottles: readonly Bottle[];
}

/**
 * What to pour together for a volume of a mix, in the order of adding. `strength` is what the keeper wants instead of the recipe's:
 * alcohol and oil in %, others in mL a litre.
 */
export function Amounts({
  mix,
  totalMl,
  measuring,
  strength = null,
}: {
  mix: MixId;
  totalMl: number;
  measuring: Measuring;
  strength?: number | null;
}) {
  const { units, spoons, alcoholPercent, bottles } = measuring;
  // What is cut from a bottle goes by the bottle's own strength.
  const isCut = mixes[mix].kind === "cut";
  const label = isCut || strength !== null ? null : labelled(bottles, mixes[mix].remedy);
  const own = strength === null ? null : mixes[mix].remedy === "oil" ? 10 * strength : strength;
  const perLitreMl = isCut ? null : (own ?? (label?.unit === "mL" ? label.perLitre : null));
  const pouring = pour(mix, mL(totalMl), alcoholPercent / 100, perLitreMl, isCut && strength ? strength / 100 : null);
  if (pouring.code === "bottle_too_weak") {
    return (
      <p className="text-danger-emphasis fw-semibold">
        Your bottle holds {Math.round(pouring.bottle * 1000) / 10} % but this mix needs{" "}
        {Math.round(pouring.strength * 1000) / 10} %. Use a stronger bottle or a weaker mix.
      </p>
    );
  }
  return (
    <>
      {label && (
        <p className="fw-semibold mb-2">
          By the label of “{label.name}”: {label.perLitre} {label.unit} per litre
          {label.unit !== "mL" && `, so ${Math.round(label.perLitre * totalMl) / 1000} ${label.unit} here`}.
        </p>
      )}
      <table className="table mb-2">
        <caption className="visually-hidden">Amounts in the order you add them</caption>
        <thead>
          <tr>
            <th scope="col">Add in this order</th>
            <th scope="col">Measure</th>
            {spoons !== "syringe" && <th scope="col">In spoons</th>}
          </tr>
        </thead>
        <tbody>
          {pouring.amounts.map(({ ingredient, volumeMl }) => (
            <tr key={ingredient}>
              <th scope="row" className="fw-normal">
                {ingredientNames[ingredient]}
                {ingredient === "alcoholBottle" && ` (${alcoholPercent} %)`}
              </th>
              <td>{measuredIn(volumeMl, units)}</td>
              {spoons !== "syringe" && <td>{inSpoons(volumeMl, spoons) ?? "with a jug or syringe"}</td>}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mb-0">
        Makes {measuredIn(mL(totalMl), units)}.{" "}
        {pouring.keepsHours === null
          ? "Keeps if closed and away from heat."
          : `Use it within ${pouring.keepsHours} hours; make no more than ${volumeIn(totalMl, units)}.`}
      </p>
    </>
  );
}
