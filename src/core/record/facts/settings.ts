import { householdIds, type HouseholdId } from "../../knowledge/household/household";
import { productIds, type ProductId } from "../../knowledge/household/products";
import { z } from "zod";
import { custom, decimal, requiredText, text, whole } from "../../shared/fields";
import type { ToolId } from "../../model/inspection/tools";
import { numbersIds } from "../../model/learning/reach";
import { spoonSets, type SpoonSet } from "../../units/spoons";

/**
 * Area and place, as in `Europe/Lisbon`: three-letter names mean different things to different programs. UTC means one thing to all, and
 * some devices know no other.
 */
const areaAndPlace = /^([A-Za-z_-]+(\/[A-Za-z0-9_+-]+)+|UTC)$/;

/** Zones that were found to exist: asking takes longer than everything else about a collection. */
const existing = new Set<string>();

const zoneExists = (zone: string) => {
  if (existing.has(zone)) return true;
  try {
    const exists = areaAndPlace.test(zone) && new Intl.DateTimeFormat("en", { timeZone: zone }).format().length > 0;
    if (exists) existing.add(zone);
    return exists;
  } catch {
    return false;
  }
};

/** What a keeper may own to look with. */
export const belongings = ["lamp", "loupe", "cards"] as const;
export type Belonging = (typeof belongings)[number];

/** What a look is made with unless its keeper says otherwise. @example usualTool([]) // "eye" */
export function usualTool(owns: readonly Belonging[]): ToolId {
  if (owns.includes("lamp")) return "lamp";
  return owns.includes("loupe") ? "loupe" : "eye";
}

export const settings = z.object({
  name: requiredText(60),
  timeZone: requiredText(60).refine(zoneExists, custom("no_such_zone")),
  lookEveryDays: whole(1, 60),
  units: z.enum(["metric", "us"]),
  spoons: z.enum(spoonSets),
  alcoholPercent: decimal(1, 100),
  /** From which probability on "clear" is proposed. */
  clearPercent: whole(90, 99),
  /** Fewest days between two treatments that the keeper can keep up: who treats oftener stops earlier. */
  everyDays: whole(2, 14),
  /** From which chance on that it carries something unseen a plant is at risk. */
  riskPercent: decimal(1, 50),
  /** Whether plants that are unlikely to carry anything are looked at less often than the rhythm says. */
  stretchLooks: z.boolean(),
  /** Whose numbers judgements begin with. */
  numbers: z.enum(numbersIds).default("mixed"),
  /** Which half of the earth it stands on, for the seasons. */
  hemisphere: z.enum(["north", "south"]),
  /** What there is to look with, beside the eye. */
  owns: z.array(z.enum(belongings)).transform((all) => belongings.filter((one) => all.includes(one))),
  /** Who lives with the plants, and what is not allowed or not wanted there. */
  household: z.array(z.enum(householdIds)).transform((all) => householdIds.filter((one) => all.includes(one))),
  notAllowed: z.array(z.enum(productIds)).transform((all) => productIds.filter((one) => all.includes(one))),
  /** Where to call when something got into an eye or a mouth; empty where nobody has said. */
  poisonCentre: text(60),
  /** ISO weekdays (1 is Monday) on which treatments are possible. */
  workDays: z
    .array(whole(1, 7))
    .min(1)
    .max(7)
    .transform((days) => [...new Set(days)].toSorted((a, b) => a - b)),
});
export type Settings = z.output<typeof settings>;

/** What small amounts are measured with where somebody thinks in these units, until they say otherwise. */
export const usualSpoons = { metric: "metric", us: "us" } as const satisfies Record<Settings["units"], SpoonSet>;

/** What a collection begins with until its keeper says otherwise; name and time zone are the keeper's alone. */
export const usualSettings = {
  lookEveryDays: 7,
  units: "metric",
  spoons: "metric",
  alcoholPercent: 70,
  clearPercent: 95,
  everyDays: 4,
  riskPercent: 5,
  stretchLooks: false,
  numbers: "mixed",
  hemisphere: "north",
  owns: ["lamp"] as Belonging[],
  household: [] as HouseholdId[],
  notAllowed: [] as ProductId[],
  poisonCentre: "",
  workDays: [1, 2, 3, 4, 5, 6, 7],
} satisfies Omit<Settings, "name" | "timeZone">;
