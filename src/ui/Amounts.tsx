import { labelled, type Bottle } from "@/core/household/bottles";
import { mixes, pour, type MixId } from "@/core/mixing/mixes";
import type { SpoonSet } from "@/core/units/spoons";
import { mL } from "@/core/units/volume";
import { inSpoons, millilitres, volumeIn } from "@/wording/amounts";
import { ingredientNames } from "@/wording/names";

export interface Measuring {
  readonly units: "metric" | "us";
  readonly spoons: SpoonSet;
  readonly alcoholPercent: number;
  /** What is in the cupboard: where a label says how much goes into a litre, that holds. */
  readonly bottles: readonly Bottle[];
}

/** What to pour together for a volume of a mix, in the order of adding. */
export function Amounts({ mix, totalMl, measuring }: { mix: MixId; totalMl: number; measuring: Measuring }) {
  const { units, spoons, alcoholPercent, bottles } = measuring;
  // What is cut from a bottle goes by the bottle's own strength.
  const label = mixes[mix].kind === "cut" ? null : labelled(bottles, mixes[mix].remedy);
  const perLitreMl = label?.unit === "mL" ? label.perLitre : null;
  const pouring = pour(mix, mL(totalMl), alcoholPercent / 100, perLitreMl);
  if (pouring.code === "bottle_too_weak") {
    return (
      <p className="text-danger-emphasis fw-semibold">
        Your bottle holds {Math.round(pouring.bottle * 1000) / 10} % and this mix needs {pouring.strength * 100} %. Use
        a stronger bottle or a weaker mix.
      </p>
    );
  }
  return (
    <>
      {label && (
        <p className="fw-semibold mb-2">
          By the label of “{label.name}”: {label.perLitre} {label.unit} in a litre
          {label.unit !== "mL" && `, so ${Math.round(label.perLitre * totalMl) / 1000} ${label.unit} here`}.
        </p>
      )}
      <table className="table mb-2">
        <caption className="visually-hidden">Amounts in the order of adding</caption>
        <thead>
          <tr>
            <th scope="col">In this order</th>
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
              <td>{volumeIn(volumeMl, units)}</td>
              {spoons !== "syringe" && <td>{inSpoons(volumeMl, spoons) ?? "by jug or syringe"}</td>}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mb-0">
        Makes {volumeIn(mL(totalMl), units)}.{" "}
        {pouring.keepsHours === null
          ? "Keeps, closed and away from heat."
          : `Use it within ${pouring.keepsHours} hours; make no more than ${millilitres(totalMl)}.`}
      </p>
    </>
  );
}
