import type { AskId } from "@/core/advice/aftercare/phytotoxicity";
import type { Borne } from "@/core/advice/tolerance/toleranceShown";
import type { ReactionId } from "@/core/knowledge/remedies/reactions";
import { mixNames } from "../names/names";

/** What is looked at. */
export const askSentences: Record<AskId, string> = {
  firstTime: "First time with this: check the leaf you tested.",
  flowers: "Check buds and flowers.",
  gloss: "Look at the gloss: shiny is right, matt too weak, tacky too strong.",
};

/** What plants of a kind have said to a mix. @example "Soap wash, mild: 3 bore it, 1 scorched" */
export function borneSentence({ mix, well, badly }: Borne): string {
  const parts = [
    ...(well > 0 ? [`${well} took it well`] : []),
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
