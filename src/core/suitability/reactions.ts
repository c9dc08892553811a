/** What a plant has done after a treatment. */
export const reactionIds = ["stain", "scorch", "lostFlowers", "lostBloom", "rot"] as const;
export type ReactionId = (typeof reactionIds)[number];
