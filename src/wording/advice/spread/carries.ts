import type { NearnessId } from "@/core/model/carriage/rates";
import type { Blamed, PlantCarries } from "@/core/advice/spread/carries";
import type { WayBack } from "@/core/advice/spread/carries";
import { percent } from "../chances";
import { dayInWords } from "../../dates";
import { pestNames, toolNames } from "../../names/names";

/** How near a plant stood to another, as it follows that one's code. */
export const nearnessNames: Record<NearnessId, string> = {
  touching: "touching it",
  tray: "in the same tray",
  drip: "below it, where its water drips",
  place: "at the same place",
  room: "in the same room",
  open: "in another room, the door open",
};

const nearby: Record<NearnessId, string> = {
  touching: "touching it",
  tray: "in its tray",
  drip: "above it, dripping",
  place: "at its place",
  room: "in its room",
  open: "from another room",
};

/** Where something may have come from, as it follows "from": "L04 touching it". */
export function routeInWords({ kind, code, nearness }: Pick<Blamed, "kind" | "code" | "nearness">): string {
  switch (kind) {
    case "arrival":
      return "what it may have brought with it";
    case "mother":
      return "the plant it was cut from";
    case "resident":
      return "what was there before your record began";
    case "remained":
      return "what may be left from its last case";
    case "background":
      return "windows, clothes and hands";
    case "others":
      return "several others together";
    case "handled":
      return `${code} handled before it`;
    case "neighbour":
      return `${code} ${nearness ? nearby[nearness] : ""}`.trim();
  }
}

/** Pests that make up less of it than this are not named one by one. */
const WORTH_NAMING = 0.15;

/** "7 % may carry something unseen: mealybugs 4 %, mites 2 %, mostly from L04 touching it." */
export function carriesSentence({ p, pests, routes }: PlantCarries): string {
  const named = pests.filter((one) => one.p >= WORTH_NAMING * p).slice(0, 3);
  const list = named.map((one) => `${pestNames[one.pest].toLowerCase()} ${percent(one.p)}`).join(", ");
  const byWay = new Map<string, number>();
  for (const route of routes) {
    const words = routeInWords(route);
    byWay.set(words, (byWay.get(words) ?? 0) + route.share);
  }
  const [most] = [...byWay].toSorted((a, b) => b[1] - a[1]);
  const from = !most ? "" : most[1] >= 0.5 ? `, mostly from ${most[0]}` : `, most of it from ${most[0]}`;
  return `${percent(p)} that it carries a pest unseen${list && `: ${list}`}${from}.`;
}

/** "may join on Fri 18 Dec if the looks of Fri 27 Nov and Fri 18 Dec are clean" */
export function wayBackSentence(ways: readonly WayBack[]): string {
  const [usual, thorough] = [ways.find(({ way }) => way === "usual"), ways.find(({ way }) => way === "thorough")];
  const first = usual ?? thorough;
  if (!first) return "Not within ten weeks of clean looks: too much is near it, or too little shows.";
  const days = first.looks.map(dayInWords);
  const list =
    days.length === 1
      ? `the look of ${days[0]} is`
      : `the looks of ${days.slice(0, -1).join(", ")} and ${days.at(-1)} are`;
  const join = `It may join on ${days.at(-1)} if ${list} clean (${toolNames[first.tool].toLowerCase()}; ${percent(first.p)} left then).`;
  if (!usual || !thorough) return join;
  const sooner = usual.looks.length - thorough.looks.length;
  const how =
    thorough.tool === usual.tool
      ? "checked in every hiding place"
      : `checked with the ${toolNames[thorough.tool].toLowerCase()}, in every hiding place`;
  if (sooner <= 0) return join;
  return `${join} ${how[0]!.toUpperCase()}${how.slice(1)}: ${sooner === 1 ? "a week" : `${sooner} weeks`} sooner.`;
}

/** So few plants that would catch something are hardly any. */
const HARDLY = 0.05;

/**
 * What a plant's neighbours would catch from it within a month, by how many of them are expected to: below one plant it is the chance
 * that any does. @example wouldCatchSentence(0.2) // "The chance that … unnoticed: 18 %."
 */
export function wouldCatchSentence(expected: number): string {
  if (expected < HARDLY) return "Other plants are very unlikely to catch anything from it within a month.";
  if (expected >= 1)
    return `Within a month ${expected < 1.5 ? "one plant" : `about ${Math.round(expected)} plants`} there would probably catch something from it, unnoticed.`;
  return `The chance that a plant there catches something from it within a month, unnoticed: ${percent(1 - Math.exp(-expected))}.`;
}
