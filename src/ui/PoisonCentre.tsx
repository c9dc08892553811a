"use client";

import { useCollectionIfAny } from "./shell/Collection";

/** Where to call, where the keeper has said. */
export function PoisonCentre() {
  const number = useCollectionIfAny()?.poisonCentre;
  if (!number) return null;
  return (
    <p className="mt-2 mb-0 fw-semibold">
      Poison centre: <a href={`tel:${number.replace(/[^+\d]/g, "")}`}>{number}</a>
    </p>
  );
}
