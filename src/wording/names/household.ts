import type { AllowedId, BottleUnit } from "@/core/knowledge/household/bottles";
import type { HouseholdId } from "@/core/knowledge/household/household";
import type { ActiveId, ProductId } from "@/core/knowledge/household/products";
import { predatorNames, soilRemedyNames, systemicNames } from "./acts";
import { remedyNames } from "./names";

export const householdNames: Record<HouseholdId, string> = {
  cats: "Cats",
  birds: "Birds",
  waterAnimals: "Fish, frogs, reptiles, a pond",
  bees: "Bees reach the plants (balcony, garden, open windows)",
  othersRooms: "Rented or public rooms",
};

export const allowedNames: Record<AllowedId, string> = {
  indoors: "Indoors",
  outdoors: "Outdoors",
  food: "On food plants",
};

export const bottleUnitNames: Record<BottleUnit, string> = { mL: "mL", g: "g", pieces: "pieces" };

export const productNames: Record<ProductId, string> = {
  ...predatorNames,
  ...systemicNames,
  ...soilRemedyNames,
  ...remedyNames,
  dust: "Dry mineral dust",
};

/** What is in a bottle, by its active ingredient. */
export const activeNames: Record<ActiveId, string> = {
  ...productNames,
  alcohol: "Alcohol",
  soap: "Plain soap",
  oil: "Paraffin or horticultural oil",
  peroxide: "Peroxide",
};
