/** What a plant is worth to its keeper, in a word. */
export const worths = ["replaceable", "dear", "irreplaceable"] as const;
export type Worth = (typeof worths)[number];

/** What is taken where nobody says. */
export const USUAL_WORTH: Worth = "dear";
