/** What a plant has done after a treatment. `matt` and `tacky` are told of oil that has dried: too weak, and too strong. */
export const reactionIds = ["nothing", "stain", "scorch", "lostFlowers", "lostBloom", "rot", "matt", "tacky"] as const;
export type ReactionId = (typeof reactionIds)[number];

/** Whether a plant has borne something badly. @example isBad("nothing") // false */
export function isBad(reaction: ReactionId): boolean {
  return reaction !== "nothing" && reaction !== "matt" && reaction !== "tacky";
}
