import type { AskId } from "@/core/case/afterwards";
import type { ReactionId } from "@/core/suitability/reactions";

/** What is looked at. */
export const askSentences: Record<AskId, string> = {
  firstTime: "The first time with this: look at the leaf it was put on.",
  flowers: "Look at buds and flowers.",
  gloss: "Look at the gloss: shining is right, matt is too weak, tacky too strong.",
};

/** What it shows, for one press. */
export const shortReactions: Record<ReactionId, string> = {
  nothing: "Nothing",
  stain: "Stained",
  scorch: "Scorched",
  lostFlowers: "Flowers dropped",
  lostBloom: "Bloom gone",
  rot: "Rot",
  matt: "Oil matt",
  tacky: "Oil tacky",
};
