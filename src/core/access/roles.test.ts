import { describe, expect, it } from "vitest";
import type { Day } from "../shared/days";
import { may, rightIds, roleIds, roleOn } from "./roles";

describe("who may do what", () => {
  it("an owner does everything; nobody else decides who may", () => {
    expect(rightIds.filter((right) => may("owner", right))).toEqual([...rightIds]);
    expect(roleIds.filter((role) => may(role, "own"))).toEqual(["owner"]);
  });

  it("a sitter tends and sees nothing else; a reader writes nothing", () => {
    expect(rightIds.filter((right) => may("sitter", right))).toEqual(["see", "tend"]);
    expect(rightIds.filter((right) => may("reader", right))).toEqual(["see", "read"]);
  });

  it.each([
    ["the day before", "2026-12-19", null],
    ["the first day", "2026-12-20", "sitter"],
    ["the last day", "2027-01-04", "sitter"],
    ["the day after", "2027-01-05", null],
  ])("for a while only: %s", (_when, day, expected) => {
    const membership = { role: "sitter", from: "2026-12-20" as Day, until: "2027-01-04" as Day } as const;
    expect(roleOn(membership, day as Day)).toBe(expected);
  });

  it("without days it holds always", () => {
    expect(roleOn({ role: "keeper", from: null, until: null }, "1990-01-01" as Day)).toBe("keeper");
  });
});
