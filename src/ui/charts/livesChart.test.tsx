import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import { drawCase } from "@/core/advice/plans/draw";
import { trialFile } from "@/core/advice/plans/trial";
import { addDays, day } from "@/core/shared/days";
import { caseFile } from "@/core/record/format/schema";
import type { Dose } from "@/core/advice/planning/doses";
import { LivesChart } from "./LivesChart";

const ON = day("2026-05-10");
const soap: Dose = { remedy: "soap", technique: "spray" };
const treated = [0, 5, 10].map((days) => ({ day: addDays(ON, days), dose: soap }));
const file = caseFile.parse(trialFile({ pest: "spiderMite", form: "climbingAroid", meanC: 22, found: 23, on: ON }));
const picture = drawCase(file, treated, addDays(ON, 30));
const drawn = (today = ON) =>
  renderToStaticMarkup(
    <LivesChart
      pest="spiderMite"
      picture={picture}
      marks={[
        { day: ON, kind: "found" },
        { day: addDays(ON, 20), kind: "clean" },
        { day: addDays(ON, 90), kind: "clean" },
      ]}
      today={today}
    />,
  );
const count = (html: string, what: RegExp) => html.match(what)?.length ?? 0;

describe("lives over time", () => {
  it("have a lane and an animal for each stage, and a disc in each lane for each treatment, with its share", () => {
    const html = drawn();
    expect(count(html, /class="lives-lane"/g)).toBe(4);
    expect(count(html, /class="animal"/g)).toBe(4);
    expect(count(html, /class="lives-treatment"/g)).toBe(3);
    expect(count(html, /--share:/g)).toBe(12);
    expect(html).not.toMatch(/NaN|undefined|Infinity/);
  });

  it("show today while it lies within them, and the looks that do", () => {
    expect(count(drawn(), /lives-today/g)).toBe(1);
    expect(count(drawn(addDays(ON, 60)), /lives-today/g)).toBe(0);
    expect(count(drawn(), /<b /g)).toBe(2);
  });

  // Common practice, no source: eggs bear soap, what moves does not.
  it("say the same as a table: soap kills few eggs and most of what moves", () => {
    const row = /<tr><th scope="row">[^<]*<\/th>(.*?)<\/tr>/.exec(drawn())![1]!;
    const [eggs, young] = [...row.matchAll(/<td>([\d.]+)/g)].map(([, share]) => Number(share));
    expect(eggs!).toBeLessThan(40);
    expect(young!).toBeGreaterThan(60);
    expect(drawn()).toContain("What each treatment kills, as a table");
  });

  it("pale where little is left: the last day of a lane holds less ink than the day of the find", () => {
    const html = drawn();
    const lane = /class="lives-lane".*?<\/svg>/s.exec(html)![0];
    const inkOn = (x: number) =>
      [...lane.matchAll(new RegExp(`<rect x="${x}" y="\\d+" width="1" height="1" opacity="([\\d.]+)"`, "g"))].reduce(
        (sum, [, opacity]) => sum + Number(opacity),
        0,
      );
    expect(inkOn(0)).toBeGreaterThan(inkOn(picture.points.length - 1));
    expect(inkOn(0)).toBeGreaterThan(0);
  });

  it("without a treatment there are no discs and no table", () => {
    const html = renderToStaticMarkup(
      <LivesChart pest="spiderMite" picture={drawCase(file, [], addDays(ON, 10))} marks={[]} today={ON} />,
    );
    expect(html).not.toContain("lives-treatment");
    expect(html).not.toContain("as a table");
  });
});
