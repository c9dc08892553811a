import { workIds, type WorkId } from "@/core/acts/workIds";
import { assertNever } from "@/core/shared/assertNever";
import type { AirId } from "@/core/climate/vapour";
import type { Doubt } from "@/core/climate/samples";
import type { ChosenProgramme, ProgrammeEnd, RoomProgrammeId } from "@/core/record/facts/kinds/roomProgramme";
import type { CountedOn } from "@/core/record/facts/kinds/trapCount";
import { mixIds, type MixId } from "@/core/knowledge/mixes/mixes";
import type { Hazard, HazardId } from "@/core/schedule/programmes/hazard";
import type { Habit } from "@/core/schedule/programmes/returns";
import type { Feeds } from "@/core/advice/seasons/feeding";
import type { GnatJudgement } from "@/core/advice/seasons/gnats/judge";
import type { GnatVerdict } from "@/core/advice/seasons/gnats/verdict";
import type { GnatWayId } from "@/core/acts/gnatWayIds";
import type { Spared } from "@/core/advice/seasons/prevention";
import type { RoundRhythm } from "@/core/knowledge/routines/roundRhythms";
import type { WinterRemedy } from "@/core/knowledge/routines/winterRemedies";
import type { NoSoak, WinterStepId } from "@/core/advice/seasons/wintering";
import type { Relapse } from "@/core/advice/isolation/relapse";
import { predatorNames, treatmentName } from "../../names/acts";
import { percent } from "../chances";
import { dayCount, dayInWords } from "../../dates";
import { mixNames, pestName, techniqueNames } from "../../names/names";
import { warmerBy, type Units } from "../../units";

export const roomProgrammeNames: Record<RoomProgrammeId, string> = {
  gnats: "Gnats in the room",
  wintering: "Bringing in for winter",
  prevention: "Preventive rounds",
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
  larvicide: "Bti in every watering, and some on the mix",
  neem: "Neem on the mix",
  sandCap: "Sand on the mix, 1–3 cm",
  dust: "Mineral dust on dry mix and saucers",
  cards: "Yellow cards",
  vinegar: "Cups of vinegar with a drop of soap",
  scaldedMix: "Scald new mix first",
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
  cards: "flies, and shows how many there are",
  vinegar: "some of the flies",
  scaldedMix: "none already here; keeps new mix from bringing any",
  peroxide: "larvae, and useful life in the mix",
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
        chosen.who === "all" ? "all that tolerate it" : "the most prone plants",
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
  const flies = Math.round(mean) === 0 ? "next to no flies" : `about ${Math.round(mean)} flies`;
  return `In ${weeks.length} weeks ${flies} a week (${low} to ${high}), if you carry on as recorded.`;
}

/** How a room of gnats stands, in a sentence or two; `codes` the codes of the room's pots. */
export function gnatVerdictSentence(verdict: GnatVerdict, codes: readonly string[]): string {
  switch (verdict.code) {
    case "not_counted":
      return "No flies counted yet. Hang cards and count them after a week: everything else follows from that.";
    case "none_caught":
      return `No flies on the cards at ${verdict.times} counts in a row: practically none live here now.`;
    case "nearly_over":
      return "Nearly over: next to none at the last two counts. Continue until the cards stay empty.";
    case "leave":
      return `Few flies (${verdict.perCardWeek.toFixed(verdict.perCardWeek < 1 ? 1 : 0)} a card and week at most) do no harm to grown plants. Leave it and keep counting.`;
    case "early":
      return `Too early to tell: it shows in the flies in about ${dayCount(Math.ceil(verdict.untilDays))}. The flies now were larvae before you started.`;
    case "working":
      return "It is working: the numbers are coming down.";
    case "cannot_tell":
      return "It is too early to say whether it works. The next count will tell more.";
    case "not_working": {
      const named = verdict.pots.map((pot) => codes[pot]).filter(Boolean);
      return named.length > 0
        ? `It is not working: larvae survive, most likely in ${named.join(", ")}. Lay slices of potato there, and treat the mix itself.`
        : "It is not working: larvae survive somewhere. Lay slices of potato on the wettest pots.";
    }
    case "quiet":
      return `No flies counted for ${dayCount(verdict.days)}. Continue: a few can stay hidden for weeks.`;
    case "over":
      return "It is probably over: no flies for longer than a gnat needs to develop.";
    default:
      return assertNever(verdict);
  }
}

export const winterStepNames: Record<WinterStepId, string> = {
  inspect: "Inspect it outside, underside and all",
  prune: "Prune what is sick or too dense, a third at most",
  rinse: "Rinse it hard, with the mix covered",
  soak: "Soak the pot 15–25 minutes in weak soap, flush until no foam",
  spray: "Spray it",
  wait: "Wait one to two hours, out of sun",
  rinseOff: "Rinse it off",
  sponge: "Wipe it in place with a sponge or soaked gloves, over a sheet",
  drench: "Water it through in place with weak soap, flush until no foam",
  pot: "Clean the pot, rim, saucer and all",
};

/** The same as what a session presses. */
const stepNames: Record<WinterStepId | "round", string> = {
  inspect: "Inspect",
  prune: "Prune",
  rinse: "Rinse hard",
  soak: "Soak",
  spray: "Spray",
  wait: "Wait",
  rinseOff: "Wait 1–2 h, rinse off",
  sponge: "Wipe in place",
  drench: "Water through",
  pot: "Clean the pot",
  round: "Spray",
};

export const givenNames = {
  winter: "In for winter: tonight",
  winterAll: "In for winter: all that are left",
  winterAgain: "In for winter: another spray",
  round: "A preventive round",
} as const;

/** How a step of a session is done, for whoever is at it. */
const stepHints: Record<WinterStepId | "round", string> = {
  ...winterStepNames,
  rinseOff: `${winterStepNames.wait}. Then rinse it off`,
  round: "Spray it to run-off, undersides too",
};

/** A step of a session with how it is done; of what plans ask for each plant says itself how. @example stepInWords("soak").name // "Soak" */
export function givenStepInWords(id: WinterStepId | "round" | `${"due" | "each"} ${MixId | WorkId}`): {
  name: string;
  how?: string;
} {
  const due = [...mixIds, ...workIds].find((what) => id === `due ${what}` || id === `each ${what}`);
  if (due) return { name: treatmentName(due) };
  const own = id as WinterStepId | "round";
  return { name: stepNames[own], how: stepHints[own] };
}

export const noSoakNames: Record<NoSoak, string> = {
  sickly: "in a case, or sickly: not soaked",
  rotsWet: "rots when wet: not soaked",
};

export const winterRemedyNames: Record<WinterRemedy, string> = {
  byKind: "As each kind needs",
  soap: "Soap",
  oil: "Oil, or soap where oil is not tolerated",
};

export const rhythmNames: Record<RoundRhythm, string> = {
  steady: "Evenly spaced",
  taper: "Close at first: 5, 5, weekly for a month",
};

/** How rounds follow each other. @example rhythmSentence({ everyDays: 14 }) // "every 14 days" */
export function rhythmSentence({
  everyDays,
  rhythm = "steady",
}: {
  readonly everyDays: number;
  readonly rhythm?: RoundRhythm | undefined;
}): string {
  const then = `every ${dayCount(everyDays)}`;
  return rhythm === "taper" ? `twice after five days, weekly for a month, then ${then}` : then;
}

export const sparedNames: Record<Spared, string> = {
  flowers: "in flower",
  notBorne: "does not tolerate it",
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
export function feedsSentence(feeds: Feeds, units: Units): string {
  const found = (n: number) =>
    n === 0 ? "" : n === 1 ? " Found here once within a year." : ` Found here ${n} times within a year.`;
  const gnats = (n: number | null) => (n === null ? "" : ` Cards caught ${n} in two weeks.`);
  switch (feeds.code) {
    case "warm":
      return `${feeds.dry ? "Dry and warm" : "Warm"}: mites double in ${daysAbout(feeds.doublingDays)} days here${feeds.coolerDays === null ? "" : `; ${warmerBy(3, units)} less would make it ${daysAbout(feeds.coolerDays)}`}.${found(feeds.found)}`;
    case "damp":
      return `Damp air (a deficit of ${feeds.deficitKpa.toFixed(1)} kPa): potting mix dries slowly and gnats thrive. A fan helps; drier air brings mites.${gnats(feeds.gnats)}`;
    case "tooWet":
      return `Too wet: ${feeds.keptWet} of ${feeds.plants} are kept wet.${gnats(feeds.gnats)}`;
    case "crowded":
      return `Crowded: ${feeds.plants} plants where there is room for ${feeds.roomFor}. Touching leaves pass pests on.`;
    case "dust":
      return feeds.days === null
        ? "Dust: no leaf was dusted or showered here on record. Dust hides mites and looks like them."
        : `Dust: leaves were last dusted or showered ${dayCount(feeds.days)} ago.`;
    case "litter":
      return `Litter: ${feeds.days === null ? "never taken off on record" : `last taken off ${dayCount(feeds.days)} ago`}. It shelters what was found here.${found(feeds.found)}`;
    case "nitrogen":
      return `High-nitrogen feed ${feeds.times === 1 ? "once" : `${feeds.times} times`} in two months: soft growth feeds sap-sucking pests.${found(feeds.found)}`;
    default:
      return assertNever(feeds);
  }
}

const hazardNames: Record<HazardId, string> = {
  prone: "its kind is prone to it",
  returned: "it has come back before",
  blooming: "it is in bud or flower",
  outdoors: "it is outdoors",
  beside: "it has been next to a case since",
};

/** Why a return is likelier here, after a sentence about guarding. */
export function hazardSentence({ why }: Pick<Hazard, "why">): string {
  return why.length === 0 ? "" : ` More likely here because: ${why.map((id) => hazardNames[id]).join(", ")}.`;
}

/** A pest that is found again after it was called clear. */
export function returnedSentence({ clearedOn, sameLine }: Relapse): string {
  const before = `It was called clear on ${dayInWords(clearedOn)}, and is found again`;
  if (sameLine === null) return `${before}. Whether it survived or came anew is being worked out.`;
  const likelier = sameLine >= 0.5 ? "most likely it had survived" : "most likely it came back from outside";
  return `${before}: ${likelier} (survived ${percent(sameLine)}, new ${percent(1 - sameLine)}).`;
}

/** A habit of a pest on a plant. */
export function habitSentence({ pest, month, times }: Habit): string {
  const before = monthName(((month + 10) % 12) + 1);
  return `${pestName(pest)} came here around ${monthName(month)} in ${times} years: start looking in ${before}.`;
}
