import type { AskId } from "@/core/case/afterwards";
import type { Borne } from "@/core/suitability/borne";
import type { ReactionId } from "@/core/suitability/reactions";
import { mixNames } from "./names";

/** What is looked at. */
export const askSentences: Record<AskId, string> = {
  firstTime: "The first time with this: look at the leaf it was put on.",
  flowers: "Look at buds and flowers.",
  gloss: "Look at the gloss: shining is right, matt is too weak, tacky too strong.",
};

/** What plants of a kind have said to a mix. @example "Soap wash, mild: 3 bore it, 1 scorched" */
export function borneSentence({ mix, well, badly }: Borne): string {
  const parts = [
    ...(well > 0 ? [`${well} bore it`] : []),
    ...badly.map(({ what, times }) => `${times} ${shortReactions[what].toLowerCase()}`),
  ];
  return `${mixNames[mix]}: ${parts.join(", ")}`;
}

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
