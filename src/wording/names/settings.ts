import type { Belonging } from "@/core/record/facts/settings";
import type { NumbersId } from "@/core/model/learning/reach";
import type { SpoonSet } from "@/core/units/spoons";

export const spoonSetNames: Record<SpoonSet, string> = {
  syringe: "Syringe or jug, mL",
  metric: "Metric spoons (5 and 15 mL)",
  us: "US spoons and cups (4.93 and 14.79 mL)",
};

export const unitNames = { metric: "Metric", us: "US" } as const;

export const hemisphereNames = { north: "North", south: "South" } as const;

export const numbersNames: Record<NumbersId, string> = {
  ours: "our estimates only",
  mixed: "our estimates and your record together",
  mine: "your record, as soon as it says enough",
};

export const belongingNames: Record<Belonging, string> = {
  lamp: "A lamp",
  loupe: "A loupe",
  cards: "Sticky cards",
};
