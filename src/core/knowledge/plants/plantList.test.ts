import { describe, expect, it } from "vitest";
import { plantsFromRows } from "./plantList";

const plants = (rows: string[][]) => plantsFromRows(rows).plants;

describe("a list of plants as people keep them", () => {
  it("one column holds names; the genus is the first word where the table knows it, and gives the form", () => {
    const [known, unknown] = plants([["Monstera deliciosa"], ["the tall one"]]);
    expect(known).toMatchObject({ name: "Monstera deliciosa", genus: "Monstera", growthForm: "climbingAroid" });
    expect(unknown).toMatchObject({ name: "the tall one", genus: "", growthForm: null });
  });

  it("several columns without headings are code, name, genus and pot", () => {
    expect(plants([["L01", "Old Faithful", "hoya", "14 cm"]])[0]).toMatchObject({
      code: "L01",
      name: "Old Faithful",
      genus: "hoya",
      potCm: "14",
    });
  });

  it("headings are taken in any order and by their usual words; others are named", () => {
    const list = plantsFromRows([
      ["Pot (cm)", "Watered", "Plant", "Acquired on", "Where"],
      ["9,5", "Mon", "Aloe vera", "2025-04-01", "Sill"],
    ]);
    expect(list.ignored).toEqual(["Watered"]);
    expect(list.plants).toHaveLength(1);
    expect(list.plants[0]).toMatchObject({
      name: "Aloe vera",
      potCm: "9,5",
      acquiredOn: "2025-04-01",
      place: "Sill",
      growthForm: "rosetteSucculent",
    });
  });

  it("a form that is said goes before that of the genus", () => {
    const rows = [
      ["name", "growth form"],
      ["Monstera deliciosa", "Fern"],
    ];
    expect(plants(rows)[0]!.growthForm).toBe("fern");
  });

  it("a plant called Plant in a list of names is no heading of several, but a list that begins with Name is headed", () => {
    expect(plants([["Name"], ["Aloe"]])).toHaveLength(1);
    expect(plants([["Rose"], ["Aloe"]])).toHaveLength(2);
  });

  it("rows without anything are left out, and nothing is nothing", () => {
    expect(plants([["", " "], ["Aloe"], []])).toHaveLength(1);
    expect(plantsFromRows([])).toEqual({ plants: [], ignored: [] });
  });
});
