import { describe, expect, it } from "vitest";
import { dayField, decimal, id, idIn, moment, orNothing, requiredText, text, whole } from "./fields";

const takes = (field: { safeParse: (value: unknown) => { success: boolean } }, value: unknown) =>
  field.safeParse(value).success;

describe("text", () => {
  it.each([
    ["nothing", "", false],
    ["blanks", "   ", false],
    ["a space without width", "\u200b", false],
    ["a filler that shows nothing", "\u3164", false],
    ["a mark that turns the direction of writing", "gnp.\u202eexe", false],
    ["a control character", "a\u0007b", false],
    ["half a character", "\ud83c", false],
    ["a name", "Näive’s 第二 cactus", true],
    ["a sign", "🌵", true],
    ["letters joined without a space", "می\u200cخواهم", true],
  ])("%s", (_what, value, good) => expect(takes(requiredText(80), value)).toBe(good));

  it("is trimmed, and may be empty where nothing is asked for", () => {
    expect(text(10).parse("  a  ")).toBe("a");
    expect(text(10).parse("")).toBe("");
    expect(takes(text(3), "four")).toBe(false);
  });
});

describe("ids", () => {
  const one = "0198c0de-0000-7000-8000-000000000000";
  it("in capitals are the same ids", () => {
    expect(id.parse(one.toUpperCase())).toBe(one);
    expect(idIn(one.toUpperCase())).toBe(one);
  });
  it.each(["", "L01", `${one}0`, "0198c0de000070008000000000000000"])("%j is none", (value) => {
    expect(takes(id, value)).toBe(false);
    expect(idIn(value)).toBeNull();
  });
});

describe("days and moments", () => {
  it.each([
    ["2026-02-28", true],
    ["2026-02-29", false],
    ["0026-02-28", false],
    ["1849-12-31", false],
    ["1850-01-01", true],
    ["2199-12-31", true],
    ["2200-01-01", false],
    ["28.2.2026", false],
  ])("the day %s: %s", (value, good) => expect(takes(dayField, value)).toBe(good));

  it.each([
    ["2026-11-24T23:30:00-08:00", true],
    ["2026-11-24T23:30-08:00", false],
    ["2026-11-24T23:30:00Z", true],
    ["2026-11-24T23:30", false],
    ["2026-11-24", false],
    ["1969-12-31T23:59:00Z", false],
    ["0099-01-01T00:00:00Z", false],
    ["9998-01-01T00:00:00Z", false],
    ["", false],
  ])("the moment %s: %s", (value, good) => expect(takes(moment, value)).toBe(good));

  it("a moment is the same wherever it was told", () => {
    expect(moment.parse("2026-11-24T23:30:00-08:00")).toEqual(moment.parse("2026-11-25T07:30:00Z"));
  });
});

describe("numbers typed by hand", () => {
  it("with a point or a comma, within bounds that belong to them", () => {
    expect(decimal(0, 5).parse(" 2,5 ")).toBe(2.5);
    expect(decimal(0, 5).parse("5")).toBe(5);
    expect(takes(decimal(0, 5), "5.01")).toBe(false);
    expect(takes(decimal(0, 5), "Infinity")).toBe(false);
    expect(takes(whole(0, 5), "2.5")).toBe(false);
  });
  it("left empty they are nothing, where that is allowed; filled wrongly they are told so", () => {
    expect(orNothing(whole(1, 5)).parse("")).toBeNull();
    expect(orNothing(whole(1, 5)).parse(null)).toBeNull();
    expect(takes(orNothing(whole(1, 5)), "9")).toBe(false);
  });
});
