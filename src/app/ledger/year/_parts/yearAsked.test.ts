import { expect, it } from "vitest";
import { yearAsked } from "./yearAsked";

it.each([
  ["2026", 2026],
  ["26", null],
  ["2026; drop", null],
  ["", null],
  [null, null],
  [["2026", "2025"], null],
] as const)("asked for %j", (asked, year) => expect(yearAsked(asked)).toBe(year));
