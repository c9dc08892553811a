import type { HouseholdId, ProductId } from "@/core/household/household";
import { predatorNames, soilRemedyNames, systemicNames } from "./acts";
import { remedyNames } from "./names";

export const householdNames: Record<HouseholdId, string> = {
  cats: "Cats",
  birds: "Birds",
  waterAnimals: "Fish, frogs, reptiles, a pond",
  bees: "Bees reach the plants (balcony, garden, open windows)",
  othersRooms: "The rooms are rented out or public",
};

export const productNames: Record<ProductId, string> = {
  ...predatorNames,
  ...systemicNames,
  ...soilRemedyNames,
  ...remedyNames,
  dust: "Dry mineral dust",
};
