/** The ways to bring a room's gnats down, each against another stage of their life. */
export const gnatWayIds = [
  "dryTop",
  "waterFromBelow",
  "larvicide",
  "neem",
  "sandCap",
  "dust",
  "cards",
  "vinegar",
  "scaldedMix",
  "peroxide",
  "nematodes",
] as const;
export type GnatWayId = (typeof gnatWayIds)[number];
