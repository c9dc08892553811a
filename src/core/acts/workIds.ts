/** Something that a plan may ask for on a day and that is no mix put on the leaves; what each is stands in works.ts. */
export const workIds = [
  "unpot",
  "shower",
  "rub",
  "prune",
  "drenchNeem",
  "drenchBti",
  "drenchPeroxide",
  "systemic",
  "predatoryMites",
  "lacewingLarvae",
  "pirateBugs",
  "mealybugBeetles",
  "nematodes",
] as const;
export type WorkId = (typeof workIds)[number];
