import type { CaseFileInput } from "../schema";

/** A file that uses every kind of event and name, in the order a keeper would record it. */
export function aCaseFile(over: Partial<CaseFileInput> = {}): CaseFileInput {
  return {
    format: "wary-petal.case",
    version: 1,
    pest: "mealybug",
    plant: { growthForm: "trailingVine" },
    temperature: { from: "2026-02-27", dailyMeanC: [20, 21, 22, 23, 22] },
    timeStepDays: 0.25,
    scenarios: "all",
    events: [
      {
        type: "inspection",
        at: "2026-03-01",
        found: 6,
        removed: false,
        look: { with: "lamp", spots: ["axil", "underside"] },
      },
      {
        type: "treatment",
        at: "2026-03-01T19:00:00Z",
        remedy: "alcohol70",
        technique: "sprayAndSwab",
        spots: ["axil", "underside"],
      },
      {
        type: "treatment",
        at: "2026-03-08",
        kill: { adult: 0.9, egg: { low: 0.3, likely: 0.6, high: 0.8 } },
        reach: { foliage: [0.95, 0.6] },
      },
      { type: "lasting", at: "2026-03-08", until: "2026-03-18", dailyHazard: { adult: 0.08 }, layFactor: 0.5 },
      {
        type: "inspection",
        at: "2026-03-22",
        found: 0,
        removed: false,
        see: { crawler: [0.2, 0.08], adult: [0.75, 0.4] },
      },
    ],
    asOf: "2026-04-05",
    ...over,
  };
}
