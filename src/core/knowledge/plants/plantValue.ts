/** What a plant is worth to its keeper, in a word. */
export const plantValues = ["replaceable", "dear", "irreplaceable"] as const;
export type PlantValue = (typeof plantValues)[number];

/** What is taken where nobody says. */
export const USUAL_PLANT_VALUE: PlantValue = "dear";
