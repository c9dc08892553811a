import { assertNever } from "@/core/assertNever";
import type { AirId } from "@/core/climate/vapour";
import type { Doubt } from "@/core/climate/samples";
import type { ChosenProgramme, ProgrammeEnd, RoomProgrammeId } from "@/core/facts/kinds/roomProgramme";
import type { CountedOn } from "@/core/facts/kinds/trapCount";
import type { Hazard, HazardId } from "@/core/programmes/hazard";
import type { Habit } from "@/core/programmes/returns";
import type { Feeds } from "@/core/rooms/feeding";
import type { GnatJudgement } from "@/core/rooms/gnats/judge";
import type { GnatVerdict } from "@/core/rooms/gnats/verdict";
import type { GnatWayId } from "@/core/rooms/gnats/ways";
import type { Spared } from "@/core/rooms/prevention";
import type { WinterStepId } from "@/core/rooms/wintering";
import type { Returned } from "@/core/spread/returned";
import { predatorNames } from "./acts";
import { percent } from "./chances";
import { dayCount, dayInWords } from "./dates";
import { mixNames, pestName, techniqueNames } from "./names";

export const roomProgrammeNames: Record<RoomProgrammeId, string> = {
  gnats: "Gnats in the room",
  wintering: "Bringing in for winter",
  prevention: "Rounds of prevention",
  guests: "Predators as prevention",
};

export const programmeEndNames: Record<ProgrammeEnd, string> = {
  clear: "Over",
  done: "Done",
  stopped: "Stopped",
};

export const gnatWayNames: Record<GnatWayId, string> = {
  dryTop: "Let the top 2–5 cm dry",
  waterFromBelow: "Water from below, 15–20 minutes, and pour off",
  larvicide: "Bti in each watering, bits of it on the mix too",
  neem: "Neem on the mix",
  sandCap: "Sand on the mix, 1–3 cm",
  dust: "Mineral dust on dry mix and saucers",
  cards: "Yellow cards",
  vinegar: "Cups of vinegar with a drop of soap",
  scaldedMix: "New mix is scalded first",
  peroxide: "Weak peroxide, twice a year at most",
  nematodes: "Nematodes in the water",
};

/** The same within a sentence. */
export const shortWays: Record<GnatWayId, string> = {
  dryTop: "dry top",
  waterFromBelow: "water from below",
  larvicide: "Bti in the water",
  neem: "neem on the mix",
  sandCap: "sand on the mix",
  dust: "dust on dry mix",
  cards: "yellow cards",
  vinegar: "vinegar cups",
  scaldedMix: "scalded mix",
  peroxide: "weak peroxide",
  nematodes: "nematodes",
};

/** What each way meets, in a word. */
export const gnatWayMeets: Record<GnatWayId, string> = {
  dryTop: "eggs and young larvae",
  waterFromBelow: "eggs and larvae near the top",
  larvicide: "larvae",
  neem: "young larvae and eggs",
  sandCap: "laying",
  dust: "some laying, and larvae near the top",
  cards: "flies, and tells you how many",
  vinegar: "some of the flies",
  scaldedMix: "none that are here; brings none with new mix",
  peroxide: "larvae, and what is useful in the mix",
  nematodes: "larvae, for weeks",
};

export const countedNames: Record<CountedOn, string> = {
  cards: "On the cards",
  slice: "Under a slice of potato",
  window: "At the window",
};

/** @example fliesInWords(1) // "one fly" */
export function fliesInWords(count: number): string {
  return count === 0 ? "no fly" : count === 1 ? "one fly" : `${count} flies`;
}

/** @example larvaeInWords(0) // "no larva" */
export function larvaeInWords(count: number): string {
  return count === 0 ? "no larva" : count === 1 ? "one larva" : `${count} larvae`;
}

export const monthNames = [
  ...["January", "February", "March", "April", "May", "June"],
  ...["July", "August", "September", "October", "November", "December"],
] as const;
const monthName = (month: number) => monthNames[month - 1] ?? "";

/** What was chosen for a programme, as details of a line. */
export function chosenInWords(chosen: ChosenProgramme): readonly string[] {
  switch (chosen.programme) {
    case "gnats":
      return chosen.ways.map((way) => shortWays[way]);
    case "wintering":
      return [`in by ${dayInWords(chosen.moveOn)}`, `begun ${chosen.weeks} weeks before`];
    case "prevention":
      return [
        `${mixNames[chosen.mix].toLowerCase()}, ${techniqueNames[chosen.technique].toLowerCase()}`,
        chosen.who === "all" ? "every plant that bears it" : "the prone kinds",
        `every ${dayCount(chosen.everyDays)}, ${monthName(chosen.fromMonth)} to ${monthName(chosen.untilMonth)}`,
      ];
    case "guests":
      return [predatorNames[chosen.predator].toLowerCase(), `renewed every ${dayCount(chosen.everyDays)}`];
    default:
      return assertNever(chosen);
  }
}

/** Flies a week in the last of the weeks ahead, with their span. */
export function aheadSentence(weeks: GnatJudgement["weeks"]): string {
  const { mean, low, high } = weeks.at(-1)!;
  const flies = Math.round(mean) === 0 ? "next to no fly" : `about ${Math.round(mean)} flies`;
  return `In ${weeks.length} weeks ${flies} a week (${low} to ${high}), if it goes on as it is written down.`;
}

/** How a room of gnats stands, in a sentence or two; `codes` the codes of the room's pots. */
export function gnatVerdictSentence(verdict: GnatVerdict, codes: readonly string[]): string {
  switch (verdict.code) {
    case "not_counted":
      return "No fly has been counted yet. Hang cards, and count them after a week: everything else follows from that.";
    case "none_caught":
      return `No fly on the cards at ${verdict.times} counts running: none to speak of live here now.`;
    case "nearly_over":
      return "Nearly over: next to none at the last two counts. Go on until the cards stay empty.";
    case "leave":
      return `Few flies (${verdict.perCardWeek.toFixed(verdict.perCardWeek < 1 ? 1 : 0)} a card and week at most) do grown plants no harm. Leave it, and count on.`;
    case "early":
      return `Too early to tell: what is done shows in the flies in about ${dayCount(Math.ceil(verdict.untilDays))}. Those that fly now were larvae before.`;
    case "working":
      return "It works: the numbers are coming down.";
    case "cannot_tell":
      return "It cannot be told yet whether it works. The next count says more.";
    case "not_working": {
      const named = verdict.pots.map((pot) => codes[pot]).filter(Boolean);
      return named.length > 0
        ? `It does not work: larvae go on, most likely in ${named.join(", ")}. Lay slices of potato there, and treat the mix itself.`
        : "It does not work: larvae go on somewhere. Lay slices of potato on the wettest pots.";
    }
    case "quiet":
      return `No fly was counted for ${dayCount(verdict.days)}. Go on: few that are held down hide for weeks.`;
    case "over":
      return "It is likely over: no fly for longer than a gnat needs to grow.";
    default:
      return assertNever(verdict);
  }
}

export const winterStepNames: Record<WinterStepId, string> = {
  inspect: "Inspect it outside, underside and all",
  prune: "Prune what is sick or too much, a third at most",
  rinse: "Rinse it hard, the mix covered",
  soak: "Soak the pot 15–25 minutes in weak soap, flush until no foam",
  spray: "Spray it",
  wait: "Wait one to two hours, out of sun",
  rinseOff: "Rinse it off",
  sponge: "Wipe it in place with a sponge or soaked gloves, over a sheet",
  pot: "Clean the pot, rim, saucer and all",
};

export const sparedNames: Record<Spared, string> = {
  flowers: "in flower",
  notBorne: "does not bear it",
  helpers: "predators at work",
  resting: "rests dry",
  inCase: "has a plan of its own",
};

export const airNames: Record<AirId, string> = { damp: "damp air", even: "even air", dry: "dry air" };

export const doubtNames: Record<Doubt, string> = {
  future: "from the future",
  impossible: "impossible",
  spike: "jumped there and back",
  stuck: "stuck on one number",
};

/** Days as a keeper says them: whole from four on. @example daysAbout(3.46) // "3.5" */
export function daysAbout(days: number): string {
  return days < 4 ? days.toFixed(1) : String(Math.round(days));
}

/** Something that feeds the trouble at a place, with its evidence. */
export function feedsSentence(feeds: Feeds): string {
  const found = (n: number) =>
    n === 0 ? "" : n === 1 ? " Found here once within a year." : ` Found here ${n} times within a year.`;
  const gnats = (n: number | null) => (n === null ? "" : ` Cards caught ${n} in two weeks.`);
  switch (feeds.code) {
    case "warm":
      return `${feeds.dry ? "Dry and warm" : "Warm"}: mites double in ${daysAbout(feeds.doublingDays)} days here${feeds.coolerDays === null ? "" : `; 3 °C less would make it ${daysAbout(feeds.coolerDays)}`}.${found(feeds.found)}`;
    case "damp":
      return `Damp air (a deficit of ${feeds.deficitKpa.toFixed(1)} kPa): mixes dry slowly, gnats thrive. Air moved by a fan helps; drier air brings mites.${gnats(feeds.gnats)}`;
    case "tooWet":
      return `Too wet: ${feeds.keptWet} of ${feeds.plants} are kept wet.${gnats(feeds.gnats)}`;
    case "crowded":
      return `Crowded: ${feeds.plants} plants where there is room for ${feeds.roomFor}. Leaves that touch pass everything on.`;
    case "dust":
      return feeds.days === null
        ? "Dust: no leaf was dusted or showered here on record. Dust hides mites, and looks like them."
        : `Dust: leaves were last dusted or showered ${dayCount(feeds.days)} ago.`;
    case "litter":
      return `Litter: ${feeds.days === null ? "never taken off on record" : `last taken off ${dayCount(feeds.days)} ago`}. It shelters what was found here.${found(feeds.found)}`;
    case "nitrogen":
      return `Fed with much nitrogen ${feeds.times === 1 ? "once" : `${feeds.times} times`} in two months: soft growth feeds what sucks sap.${found(feeds.found)}`;
    default:
      return assertNever(feeds);
  }
}

const hazardNames: Record<HazardId, string> = {
  prone: "its kind is prone to it",
  returned: "it has come back before",
  blooming: "it is in bud or flower",
  outdoors: "it stands out of doors",
  beside: "a case has stood beside it since",
};

/** Why a return is likelier here, after a sentence about guarding. */
export function hazardSentence({ why }: Pick<Hazard, "why">): string {
  return why.length === 0 ? "" : ` Likelier here than elsewhere: ${why.map((id) => hazardNames[id]).join(", ")}.`;
}

/** A pest that is found again after it was called clear. */
export function returnedSentence({ clearedOn, sameLine }: Returned): string {
  const before = `It was called clear on ${dayInWords(clearedOn)}, and is found again`;
  if (sameLine === null)
    return `${before}. Whether it is the same line that had not ended, or a new one, is being reckoned.`;
  const told =
    sameLine >= 0.5 ? "most likely the same line, which had not ended" : "most likely a new one that came since";
  return `${before}: ${told} (the same ${percent(sameLine)}, a new one ${percent(1 - sameLine)}).`;
}

/** A habit of a pest on a plant. */
export function habitSentence({ pest, month, times }: Habit): string {
  const before = monthName(((month + 10) % 12) + 1);
  return `${pestName(pest)} came here around ${monthName(month)} in ${times} years: looks begin in ${before}.`;
}
