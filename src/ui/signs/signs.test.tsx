import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import { lookAlikeIds } from "@/core/knowledge/signs/lookAlikes";
import { posteriorOf } from "@/core/advice/diagnosis/posterior";
import { priorsFor } from "@/core/advice/diagnosis/priors";
import { signIds, testIds, tests } from "@/core/knowledge/signs/signs";
import { pestIds, pestOf } from "@/core/knowledge/pests/pests";
import { percent } from "@/wording/advice/chances";
import { pestNames } from "@/wording/names/names";
import { lookAlikeNames, signNames, stageLooks, testNames } from "@/wording/names/signs";
import { readyPhrases, timeInWords } from "@/wording/names/walks";
import { Naming } from "../naming/Naming";
import { signDrawings } from "./drawings";
import { SignToggle } from "./SignToggle";

describe("signs on the screen", () => {
  it.each(signIds)("%s has a drawing within its ground and words of its own", (sign) => {
    expect(signDrawings[sign]).toMatch(/^M[-0-9.MLQCTAVHZmlqctavhz ]+$/);
    expect(signDrawings[sign].length).toBeGreaterThan(20);
    expect(signNames[sign].length).toBeGreaterThan(5);
    expect(new Set(signIds.map((one) => signNames[one])).size).toBe(signIds.length);
  });

  it("every test, look-alike and life stage is put into words", () => {
    for (const test of testIds) {
      expect(testNames[test].how).toMatch(/[.?]$/);
      expect(tests[test].shows.length).toBeGreaterThan(0);
    }
    for (const id of lookAlikeIds) expect(lookAlikeNames[id].tell).not.toBe("");
    for (const pest of pestIds)
      expect(Object.keys(stageLooks[pest])).toEqual(pestOf(pest).stages.map((stage) => stage.id));
    expect(new Set(readyPhrases).size).toBe(readyPhrases.length);
  });

  it.each([
    [undefined, "present", "not looked for"],
    ["present", "absent", "there"],
    ["absent", undefined, "not present"],
  ] as const)("a sign that is %s becomes %s when pressed, and says so", (seen, next, words) => {
    let now: string | undefined = "nothing";
    const element = SignToggle({ sign: "ants", seen, onChange: (to) => (now = to) });
    (element.props as { onClick: () => void }).onClick();
    expect(now).toBe(next);
    expect(renderToStaticMarkup(element).replace(/<[^>]+>/g, "")).toBe(`${signNames.ants}: ${words}`);
  });

  it("naming begins with what the kind, the place, the season and the collection make likely", () => {
    const circumstances = { form: "fern", meanC: 22, season: "winter", nearby: { aphid: "here" } } as const;
    const html = renderToStaticMarkup(
      <Naming circumstances={circumstances} onNamed={() => undefined} onNone={() => undefined} />,
    );
    const priors = priorsFor(circumstances);
    const first = pestIds.toSorted((a, b) => priors[b] - priors[a])[0]!;
    const { of } = posteriorOf(priors, {});
    expect(html.indexOf(`<span>${pestNames[first]}</span><span>${percent(of[first])}</span>`)).toBeGreaterThan(0);
    expect(html).toContain("Something else");
    // A fern cannot show a cactus's scars, and tests come once a sign has been looked for.
    expect(html).not.toContain(signNames.corkyScars);
    expect(html).not.toContain("The test that would tell most");
  });

  it.each([
    [0, "under a minute"],
    [29, "under a minute"],
    [300, "about 5 min"],
    [3600, "about 1 h 0 min"],
    [4500, "about 1 h 15 min"],
  ])("%i seconds are %s", (seconds, words) => {
    expect(timeInWords(seconds)).toBe(words);
  });
});
