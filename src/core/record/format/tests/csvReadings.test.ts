import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readingsFromRows } from "../csvReadings";

const momentOf = (cell: string) => {
  const at = new Date(cell.replace(" ", "T") + (cell.endsWith("Z") ? "" : "Z"));
  return Number.isNaN(at.getTime()) ? null : at;
};
const read = (rows: Record<string, string>[]) => readingsFromRows(rows, momentOf);

describe("readings from the rows of a table", () => {
  it("know their columns by many names, with units and in any case", () => {
    for (const heading of ["Temperature (°C)", "temp", "Celsius", "TEMPERATURE"])
      expect(read([{ Time: "2026-03-01 08:00", [heading]: "20,5", "Relative Humidity [%]": "48 %" }])).toEqual({
        samples: [{ at: new Date("2026-03-01T08:00:00Z"), celsius: 20.5, humidity: 48 }],
        days: [],
        problems: [],
      });
  });

  // Source: the definition of the degree Fahrenheit: 32 °F is 0 °C, 212 °F is 100 °C.
  it("in Fahrenheit are told by their heading", () => {
    const celsius = (heading: string, cell: string) =>
      read([{ at: "2026-03-01T08:00:00Z", [heading]: cell }]).samples[0]!.celsius;
    expect([celsius("Temperature (°F)", "32"), celsius("Fahrenheit", "212"), celsius("temp °F", "68")]).toEqual([
      0, 100, 20,
    ]);
  });

  it("of days in Fahrenheit are converted too, and what no air has is refused", () => {
    expect(read([{ date: "2026-03-01", "Low (°F)": "50", "High (°F)": "68" }]).days).toEqual([
      { day: "2026-03-01", minC: 10, maxC: 20, meanC: 15, humidity: null },
    ]);
    // However the unit stands behind the name.
    expect(read([{ date: "2026-03-01", "min °F": "50", max_f: "68" }]).days).toMatchObject([{ minC: 10 }]);
    expect(read([{ date: "2026-03-01", "Low °F": "50", "High °F": "68" }]).days).toMatchObject([
      { minC: 10, maxC: 20 },
    ]);
    expect(read([{ date: "2026-03-01", min: "50", max: "68" }]).problems).toHaveLength(1);
    expect(read([{ date: "2026-03-01", mean: "20", humidity: "480" }]).problems).toMatchObject([
      { column: "humidity" },
    ]);
    // A single reading that cannot be is told, and screened with the rest.
    expect(read([{ at: "2026-03-01T08:00:00Z", temp: "85" }]).samples).toHaveLength(1);
  });

  it("of days take their extremes, or their mean", () => {
    expect(read([{ date: "2026-03-01", Min: "14", Max: "22" }]).days).toEqual([
      { day: "2026-03-01", minC: 14, maxC: 22, meanC: 18, humidity: null },
    ]);
    expect(read([{ day: "2026-03-01", mean: "19" }]).days).toMatchObject([{ minC: 19, maxC: 19, meanC: 19 }]);
    expect(read([{ date: "2026-03-01", min: "22", max: "14" }]).problems).toMatchObject([
      { row: 1, code: "not_a_number" },
    ]);
  });

  it("that cannot be read are told, each with its row, and the rest is read", () => {
    const { problems, samples } = read([
      { time: "soon", temp: "20" },
      { time: "2026-03-01 08:00", temp: "" },
      { time: "2026-03-01 09:00", temp: "hot" },
      { time: "2026-03-01 10:00", temp: "21" },
    ]);
    expect(problems).toEqual([
      { row: 1, column: "time", code: "not_a_moment" },
      { row: 2, column: "temp", code: "required" },
      { row: 3, column: "temp", code: "not_a_number" },
    ]);
    expect(samples).toHaveLength(1);
  });

  it("never throw, whatever a table holds", () => {
    const cells = fc.dictionary(fc.string({ maxLength: 12 }), fc.string({ maxLength: 20 }), { maxKeys: 6 });
    fc.assert(fc.property(fc.array(cells, { maxLength: 8 }), (rows) => void read(rows)));
  });
});
