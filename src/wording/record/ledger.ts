import type { EarlierNext, YearReview } from "@/core/advice/ledger/year";
import type { TallyBy } from "@/core/advice/ledger/tally";
import type { Route } from "@/core/advice/spread/streams";
import { monthNames } from "../advice/seasons/seasons";
import { dayAndYear, dayCount } from "../dates";
import { outcomeNames, pestNames } from "../names/names";
import { plantsInWords } from "../names/plants";
import { timeInWords } from "../names/walks";
import { outcomes } from "@/core/record/facts/kinds/closing";

export const tallyNames: Record<TallyBy, string> = {
  seller: "By seller",
  way: "By how they came in",
  place: "By place",
  month: "By month",
};

const wayNames: Record<Route["kind"], string> = {
  arrival: "Came with the plant",
  mother: "From the plant it was cut from",
  resident: "From before your record began",
  remained: "Left from an earlier case",
  background: "Windows, clothes and hands",
  neighbour: "From a plant near it",
  handled: "On hands and tools",
  others: "From several plants near it",
};

const monthName = new Intl.DateTimeFormat("en-GB", { month: "long", year: "numeric", timeZone: "UTC" });

/** What a year has brought, in one sentence or two. @example yearSentence(yearOf([], 2026)) // "Nothing was found in this year." */
export function yearSentence({ finds, plants, minutes, medianDays, ended }: YearReview): string {
  const found =
    finds === 0
      ? "Nothing was found in this year."
      : `${[
          `${finds === 1 ? "One find" : `${finds} finds`} on ${plantsInWords(plants)}`,
          ...(minutes < 1 ? [] : [`${timeInWords(60 * minutes)} of work`]),
          ...(medianDays === null ? [] : [`found ${dayCount(Math.round(medianDays))} after the plant came (median)`]),
        ].join(", ")}.`;
  const closed = outcomes.filter((outcome) => ended[outcome] > 0);
  if (closed.length === 0) return found;
  return `${found} Closed: ${closed.map((outcome) => `${ended[outcome]} ${outcomeNames[outcome].toLowerCase()}`).join(", ")}.`;
}

/** When to look earlier for a pest that came in a rush. @example earlierSentence({ pest: "spiderMite", month: 9, finds: 3, of: 4, from: day("2027-08-01") }) */
export function earlierSentence({ pest, month, finds, of, from }: EarlierNext): string {
  const months = `${monthNames[month - 1]} and ${monthNames[month % 12]}`;
  return `${pestNames[pest]}: ${finds} of ${of} finds were in ${months}. Start looking for them on ${dayAndYear(from)}, a month earlier.`;
}

/** What a line of the ledger is called. */
export function tallyName(by: TallyBy, key: string, name: string): string {
  if (by === "way") return key === "" ? "Cannot be told" : wayNames[key as Route["kind"]];
  if (by === "month") return monthName.format(new Date(`${key}-01T00:00:00Z`));
  return name === "" ? "Not recorded" : name;
}
