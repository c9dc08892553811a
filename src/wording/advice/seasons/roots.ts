import type { OutOfSeason } from "@/core/advice/decision/outOfSeason";
import type { UnpottingStepId } from "@/core/knowledge/roots/unpotting";
import { percent } from "../chances";
import { dayCount } from "../../dates";

export const unpottingSteps: Record<Exclude<UnpottingStepId, "dry">, string> = {
  layOut: "Away from the other plants, lay out newspaper, a bag for the waste, a tray, and a bowl of warm water.",
  tongs: "Spines: wrap it in folded paper, or hold it with tongs.",
  sap: "Milky sap: gloves and glasses on.",
  tipOut: "Tip it out, and put all the old mix in the bag. Never reuse it, and never compost it.",
  covers: "Fabric covers, old labels and top dressing go in the bag too; wash the saucer with the pot.",
  comb: "Comb the roots out with your fingers, and rinse what clings to them.",
  bath: "Wash the roots in warm water with a drop of soap. Fresh water for each plant.",
  pickOff:
    "Check the wet roots, neck and pot holes with lamp and loupe. Wipe and pick off what you see. No alcohol on roots.",
  trim: "Cut off what is brown, hollow or soft. Wipe the blade between two cuts.",
  peroxide: "Pour 3 % peroxide over the cut roots, once: it foams and cleans the cuts. Not at every unpotting.",
  rinse: "Rinse in clean water, neither hot nor cold.",
  pot: "Take another pot; or scrub the old one with diluted bleach and nothing else, and rinse it well.",
  newMix: "New mix. No top dressing while you are watching it, so that you see anything that moves.",
  cleanUp: "Close the bag and bin it. Wash table, tools, hands and sleeves before you touch another plant.",
};

/** Dry for longer than this is a rest, and no longer for the cuts. */
const RESTS_FROM_DAYS = 14;

/** Whether, and how long, roots dry. @example drySentence(7) // "Let the roots dry … No water for 7 days: …" */
export function drySentence(days: number): string {
  if (days === 0) return "No drying: pot it up at once and water it in, it wilts sooner than it rots.";
  const water =
    days > RESTS_FROM_DAYS
      ? `No water until it grows again, in ${dayCount(days)}: it is resting, and would rot if wet.`
      : `No water for ${dayCount(days)}: cuts must close first.`;
  return `Let the roots dry: lay it in the shade, or set a fan on it. ${water}`;
}

/** What speaks for unpotting now, and what for waiting, one sentence each, the proposal first. */
export function outOfSeasonSentences({ now, wait, better }: OutOfSeason, days: number): readonly string[] {
  const animals = (n: number) => `about ${n < 10 ? n.toFixed(0) : Math.round(n / 10) * 10}`;
  return [
    better === "now"
      ? "It is resting, but it is more likely to survive if you unpot it now."
      : "It is resting: it is more likely to survive if you leave its roots alone until it grows.",
    `Now: ${percent(now.pLost)} of such plants are lost, and the pest is gone with ${percent(now.pOver)}.`,
    `If you wait ${dayCount(days)}: ${animals(wait.animals)} animals become ${animals(wait.animalsThen)}; with the unpotting that comes then, ${percent(wait.pLost)} are lost, and the pest is gone with ${percent(wait.pOver)}.`,
    "How many plants are lost is our own estimate: halve or double it from your experience. Until then keep it apart, and dry.",
  ];
}
