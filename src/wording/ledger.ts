import type { TallyBy } from "@/core/ledger/tally";
import type { Route } from "@/core/spread/streams";

export const tallyNames: Record<TallyBy, string> = {
  seller: "By seller",
  way: "By the way they came in",
  place: "By place",
  month: "By month",
};

const wayNames: Record<Route["kind"], string> = {
  arrival: "Came with the plant",
  mother: "From the plant it was cut from",
  resident: "From before the record",
  remained: "Left of an earlier case",
  background: "Windows, clothes and hands",
  neighbour: "From a plant near it",
  handled: "On hands and tools",
  others: "From several plants near it",
};

const monthName = new Intl.DateTimeFormat("en-GB", { month: "long", year: "numeric", timeZone: "UTC" });

/** What a line of the ledger is called. */
export function tallyName(by: TallyBy, key: string, name: string): string {
  if (by === "way") return key === "" ? "Cannot be told, or is not reckoned" : wayNames[key as Route["kind"]];
  if (by === "month") return monthName.format(new Date(`${key}-01T00:00:00Z`));
  return name === "" ? "Not written down" : name;
}
