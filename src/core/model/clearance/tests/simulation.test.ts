import { describe, expect, it } from "vitest";
import { applicationEvents } from "../../../acts/contact";
import { pestIds, pests, type PestId } from "../../../knowledge/pests/pests";
import { byStage } from "../../population/layout";
import { expectedByStage, followEach, reckon } from "../reckon";
import type { PopulationEvent } from "../../population/events";
import type { CaseHistory } from "../history";
import { logProbability } from "../anchor";
import type { Scenario } from "../scenarios";
import { fullLook, historyOf, treat } from "./cases";
import { diceFrom } from "./dice";
import { play, type Figure } from "./play";
import type { PerSite } from "../../population/sites";

/** Lives in a batch, each batch with beliefs of its own: what they differ by is the error. In full where benchmarks are run. */
const RUNS = process.env["WARY_SIMULATIONS"] === "full" ? 150 : 30;
const BATCHES = 24;
const STANDARD_ERRORS = 4;
const likely: Scenario = { escape: 1, column: "likely", eggs: 1, prior: 1 };

interface Trial {
  readonly what: string;
  readonly history: CaseHistory;
  readonly asOf: number;
  readonly scenario: Scenario;
}

/** A lasting effect on some stages of a pest, by their ids. */
function lasting(
  pest: PestId,
  from: number,
  until: number,
  hazards: Record<string, number>,
  more: { layFactor?: number; cover?: PerSite } = {},
): PopulationEvent {
  const { stages } = historyOf(pest, 20, []).pest;
  const dailyHazard = stages.map((stage) => hazards[stage.id] ?? 0);
  return { kind: "lasting", atDays: from, untilDays: until, effect: { dailyHazard, layFactor: 1, ...more } };
}

const spring = Array.from({ length: 60 }, (_, day) => 17 + 0.15 * day + (day % 3));

/** Varied on purpose: every pest, several remedies and tools, and what the recursions might get wrong. */
const trials: readonly Trial[] = [
  ...pestIds.map((pest, i): Trial => {
    const remedy = (["alcohol", "soap", "oil", "neem"] as const)[i % 4]!;
    const events = [
      fullLook(pest, 0, 2),
      ...[0, 5, 10].flatMap((at) => treat(pest, at, remedy, "sprayAndSwab")),
      fullLook(pest, 16, 0, { tool: "lamp" }),
    ];
    return { what: `${pest}, ${remedy} three times`, history: historyOf(pest, 22, events), asOf: 20, scenario: likely };
  }),
  ...(["spiderMite", "thrips", "mealybug", "fungusGnat"] as const).map((pest): Trial => {
    const events = [
      fullLook(pest, 0.75, 3),
      ...treat(pest, 1, "soap"),
      ...treat(pest, 7, "soap"),
      fullLook(pest, 9, 0),
    ];
    return {
      what: `${pest}, warmth changing by the day`,
      history: historyOf(pest, spring, events),
      asOf: 14,
      scenario: likely,
    };
  }),
  {
    what: "thrips with cards hung: a lasting hazard for the flying ones",
    history: historyOf("thrips", 23, [
      fullLook("thrips", 0, 3),
      lasting("thrips", 1, 18, { youngAdult: 0.08, adult: 0.08 }),
      ...treat("thrips", 1, "soap", "sprayAndSwab"),
      ...treat("thrips", 6, "soap", "sprayAndSwab"),
      fullLook("thrips", 12, 0),
    ]),
    asOf: 20,
    scenario: likely,
  },
  {
    what: "gnats under sand: laying cut to a fifth, larvae dying for a week",
    history: historyOf("fungusGnat", 24, [
      fullLook("fungusGnat", 0, 2),
      lasting("fungusGnat", 0, 30, { larva: 0.3 }, { layFactor: 0.2 }),
      fullLook("fungusGnat", 14, 0, { tool: "lamp" }),
    ]),
    asOf: 21,
    scenario: likely,
  },
  {
    what: "mealybugs, a residue that lies on open places and hardly on others",
    history: historyOf("mealybug", 24, [
      fullLook("mealybug", 0, 4),
      lasting("mealybug", 0, 20, { crawler: 0.3, nymph: 0.2, adult: 0.1 }, { layFactor: 0.3, cover: [0.9, 0.3, 0] }),
      fullLook("mealybug", 10, 0, { tool: "lamp" }),
      ...treat("mealybug", 11, "soap", "sprayAndSwab"),
      fullLook("mealybug", 17, 0),
    ]),
    asOf: 19,
    scenario: likely,
  },
  {
    what: "mealybugs killed on the spot, the eggs left",
    history: historyOf("mealybug", 24, [fullLook("mealybug", 0, 4, { removed: true }), fullLook("mealybug", 12, 0)]),
    asOf: 12,
    scenario: likely,
  },
  ...(["mealybug", "thrips", "softScale"] as const).map((pest): Trial => {
    const events = [
      fullLook(pest, 0, 3),
      ...treat(pest, 0, "alcohol", "sprayAndSwab"),
      fullLook(pest, 6, 0),
      fullLook(pest, 9, 1),
      ...treat(pest, 9, "alcohol", "sprayAndSwab"),
      ...treat(pest, 14, "alcohol", "sprayAndSwab"),
      fullLook(pest, 20, 0),
    ];
    return {
      what: `${pest}, found again after a clean look`,
      history: historyOf(pest, 22, events),
      asOf: 24,
      scenario: likely,
    };
  }),
  ...(
    [
      { escape: 2.5, column: "low", eggs: 0.6, prior: 1 },
      { escape: 1 / 3, column: "high", eggs: 1.3, prior: 1 },
      { escape: 2.5, column: "low", eggs: 1.3, prior: 1 },
    ] as const
  ).map((scenario): Trial => {
    const events = [
      fullLook("aphid", 0, 2),
      ...treat("aphid", 0, "soap", "dunk"),
      ...treat("aphid", 4, "neem", "dunk"),
    ];
    return {
      what: `aphids, reach ×${scenario.escape.toFixed(2)}, eggs ×${scenario.eggs}`,
      history: historyOf("aphid", 20, events),
      asOf: 9,
      scenario,
    };
  }),
  {
    what: "a treatment and a look on one day, in the order recorded",
    history: historyOf("spiderMite", 21, [
      fullLook("spiderMite", 0, 2),
      fullLook("spiderMite", 5, 0),
      ...treat("spiderMite", 5, "oil", "sprayAndSwab"),
      fullLook("spiderMite", 10, 0),
      ...treat("spiderMite", 10, "oil", "sprayAndSwab"),
    ]),
    asOf: 10,
    scenario: likely,
  },
  ...(["eye", "lamp", "loupe"] as const).map((tool, i): Trial => {
    const axils = { form: "trailingVine", weights: "mealybug", spots: ["axil", "newLeaf"] } as const;
    const dab = { remedy: "alcohol", technique: "dab", tool, on: axils } as const;
    const scenario = { escape: [2.5, 1, 1 / 3][i]!, column: "likely", eggs: 1, prior: 1 } as const;
    return {
      what: `mealybugs dabbed in the joints alone, by ${tool}`,
      history: historyOf(
        "mealybug",
        23,
        [
          fullLook("mealybug", 0, 2, { tool: "lamp", form: "trailingVine" }),
          ...[0, 7, 14].flatMap((at) => applicationEvents(pests.mealybug, dab, at)),
          fullLook("mealybug", 20, 0, { tool, form: "trailingVine" }),
        ],
        { form: "trailingVine" },
      ),
      asOf: 21,
      scenario,
    };
  }),
  ...([0.05, 0.4, 1] as const).map((deepShare): Trial => ({
    what: `soft scale with ${deepShare} of its shelter out of reach, dunked`,
    history: {
      ...historyOf("softScale", 24, [
        fullLook("softScale", 0, 2, { tool: "lamp" }),
        ...[0, 6].flatMap((at) => treat("softScale", at, "soap", "dunk")),
        fullLook("softScale", 9, 0),
      ]),
      sites: { shelteredShare: 0.5, deepShare, mixPerDay: 0.6 },
    },
    asOf: 12,
    scenario: { escape: 1 / 3, column: "high", eggs: 1.3, prior: 1 },
  })),
  {
    what: "found as nymphs, and later as a crawler that is picked off",
    history: historyOf("mealybug", 24, [
      { ...fullLook("mealybug", 0, 3, { tool: "lamp" }), among: [2] },
      ...treat("mealybug", 0, "alcohol", "sprayAndSwab"),
      ...treat("mealybug", 6, "alcohol", "sprayAndSwab"),
      { ...fullLook("mealybug", 12, 1, { removed: true }), among: [1] },
      ...treat("mealybug", 12, "alcohol", "sprayAndSwab"),
      fullLook("mealybug", 18, 0),
    ]),
    asOf: 18,
    scenario: likely,
  },
  {
    what: "thrips, whose pupae lie in the mix but for a quarter",
    history: historyOf("thrips", 24, [
      { ...fullLook("thrips", 0, 4), among: [1, 4] },
      ...[0, 4, 8].flatMap((at) => treat("thrips", at, "neem")),
      fullLook("thrips", 11, 0, { tool: "paper" }),
    ]),
    asOf: 13,
    scenario: { escape: 2.5, column: "low", eggs: 1, prior: 1 },
  },
];

/** A check against an independent program: a simulation of single animals written from the rules, not from the recursions. */
describe("the recursions against animals played one by one from the first find on", () => {
  it.each(trials.map((trial, i) => [trial.what, trial, i] as const))("%s", (_what, { history, asOf, scenario }, i) => {
    const reckoning = reckon(history, asOf, [scenario]);
    const { timeline, asOfStep, believed, scenarioPClear, growth } = reckoning;
    const shares = [...growth.shares.slice(0, timeline.layout.types)];
    const how = { dt: timeline.dt, batches: BATCHES, runs: RUNS };
    const played = play(history, shares, scenario, asOfStep, how, diceFrom(1000 + i));

    const unseen = Math.exp(believed[0]!.logUnseen);
    const gone = scenarioPClear[0]! * unseen;
    const left = expectedByStage(reckoning).reduce((sum, n) => sum + n, 0);
    // Something that hardly ever happens may not have happened in so many lives: the error of a count is known beforehand.
    const lives = BATCHES * RUNS;
    const agree = (reckoned: number, { mean, error }: Figure) =>
      expect(Math.abs(mean - reckoned)).toBeLessThan(
        STANDARD_ERRORS * Math.max(error, 1 / lives, Math.sqrt(Math.max(0, reckoned * (1 - reckoned)) / lives)),
      );
    agree(unseen, played.unseen);
    agree(gone, played.goneUnseen);
    agree(left, played.left);
  });

  it("are at least thirty varied cases", () => {
    expect(trials.length).toBeGreaterThanOrEqual(30);
  });
});

describe("expected numbers", () => {
  it("follow the animals day by day: those at the end are the ones asked for", () => {
    const history = historyOf("mealybug", 22, [fullLook("mealybug", 0, 3), ...treat("mealybug", 3, "alcohol")]);
    const reckoning = reckon(history, 12, [likely]);
    const { layout } = reckoning.timeline;
    const seen: number[] = [];
    const [end] = followEach(reckoning, (_, step) => seen.push(step));
    expect(seen.at(-1)).toBe(reckoning.asOfStep - 1);
    expect([...byStage(layout, end!)]).toEqual([...expectedByStage(reckoning)]);
  });

  it("a probability of what is certain is 1", () => {
    const reckoning = reckon(historyOf("aphid", 20, [fullLook("aphid", 0, 3)]), 5, [likely]);
    const { layout } = reckoning.timeline;
    const certain = new Float64Array(layout.length).fill(1);
    expect(logProbability(layout, reckoning.believed[0]!.anchor!, certain)).toBeCloseTo(0, 12);
  });
});
