import { z } from "zod";
import { nothingInPots } from "./inPots";
import { actKind, touchesNothing } from "./kind";

/** What is cleaned around plants, and with what (common practice). */
export const cleanedIds = ["shelf", "saucers", "tent", "pot", "tools"] as const;
export type CleanedId = (typeof cleanedIds)[number];
export const cleanerIds = ["soapyWater", "weakPeroxide", "alcohol"] as const;
export type CleanerId = (typeof cleanerIds)[number];

const minutes: Readonly<Record<CleanedId, number>> = { shelf: 8, saucers: 5, tent: 20, pot: 2, tools: 2 };

/** What stands around plants is cleaned: stragglers and eggs that fell, honeydew, drips. It does nothing to what sits on a plant. */
export const clean = actKind({
  kind: "clean",
  shape: z.object({ kind: z.literal("clean"), what: z.enum(cleanedIds), with: z.enum(cleanerIds) }),
  doneTo: ["plant", "place"],
  events: () => [],
  treats: () => false,
  cleanLook: () => null,
  touches: () => touchesNothing,
  products: () => [],
  poured: () => null,
  work: () => null,
  cautions: (act) => [
    ...(act.with === "alcohol" ? (["flammable"] as const) : []),
    ...(act.with === "soapyWater" ? [] : (["protectYourself"] as const)),
    "cleanHands",
  ],
  costs: ({ what }) => ({ minutes: minutes[what], volumeMl: 0 }),
  timers: () => [],
  gnatWay: () => null,
  inPots: () => nothingInPots,
  alike: ({ what }) => what,
  ahead: () => [],
});
