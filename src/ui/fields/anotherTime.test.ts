import { expect, it } from "vitest";
import { isOfAnotherTime } from "./anotherTime";

it.each([
  ["as it is done", "2026-12-01T18:00:00+00:00", false],
  ["in another zone the same moment", "2026-12-01T19:00:00+01:00", false],
  ["while it was filled in", "2026-12-01T17:51:00+00:00", false],
  ["on a page kept since noon", "2026-12-01T12:00:00+00:00", true],
  ["of yesterday, mended", "2026-11-30T18:00:00+00:00", true],
  ["of tomorrow by mistake", "2026-12-02T18:00:00+00:00", true],
  ["no moment at all", "", false],
])("%s", (_why, at, is) => {
  expect(isOfAnotherTime(at, Date.parse("2026-12-01T18:00:00Z"))).toBe(is);
});
