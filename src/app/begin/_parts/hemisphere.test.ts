import { describe, expect, it } from "vitest";
import { guessHemisphere } from "./hemisphere";

describe("the half of the earth, guessed from the clocks", () => {
  // Source: the IANA time zone database; summer time runs over the new year in the south.
  it.each([
    ["Pacific/Auckland", "south"],
    ["Australia/Sydney", "south"],
    ["America/Santiago", "south"],
    ["Europe/Lisbon", "north"],
    ["America/Los_Angeles", "north"],
    ["Asia/Kathmandu", "north"],
    ["", "north"],
    ["Nowhere/Land", "north"],
  ])("%s is %s", (zone, half) => expect(guessHemisphere(zone)).toBe(half));
});
