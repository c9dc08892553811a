import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import { pestIds, pestOf, type PestId } from "@/core/knowledge/pests/pests";
import { sizeOf, sizesMm } from "@/core/knowledge/pests/sizes";
import { Animal, trueBodyPx } from "./Animal";
import { animals } from "./drawings";
import { LookAlike, LookAlikes } from "./lookAlikes";
import { lookAlikeIds } from "@/core/knowledge/signs/lookAlikes";

const stagesOf = (pest: PestId) => pestOf(pest).stages.map(({ id }) => id);

describe("the animals", () => {
  it.each(pestIds)("%s is drawn and measured at every stage, and at no other", (pest) => {
    expect(Object.keys(animals[pest])).toEqual(stagesOf(pest));
    expect(Object.keys(sizesMm[pest])).toEqual(stagesOf(pest));
    const drawn = stagesOf(pest).map((stage) => renderToStaticMarkup(<Animal pest={pest} stage={stage} bodyPx={80} />));
    // Each stage is told from the others.
    expect(new Set(drawn).size).toBe(drawn.length);
    for (const one of drawn) expect(one).not.toMatch(/NaN|undefined/);
  });

  // From memory: mites are half a millimetre, thrips one to two, mealybugs three to five, gnats two and a half to four, their larvae up to 8.
  it("are as large as handbooks say, and grow from stage to stage", () => {
    const within: readonly (readonly [PestId, string, number, number])[] = [
      ["spiderMite", "adult", 0.4, 0.6],
      ["thrips", "adult", 1, 2],
      ["mealybug", "adult", 3, 5],
      ["softScale", "adult", 3, 6],
      ["armouredScale", "adult", 1.5, 3],
      ["fungusGnat", "adult", 2.5, 4],
      ["fungusGnat", "larva", 4, 8],
      ["aphid", "adult", 1.5, 3],
    ];
    for (const [pest, stage, least, most] of within) {
      expect(sizeOf(pest, stage)).toBeGreaterThanOrEqual(least);
      expect(sizeOf(pest, stage)).toBeLessThanOrEqual(most);
    }
    for (const pest of ["spiderMite", "thrips", "aphid", "softScale"] as const) {
      const sizes = stagesOf(pest).map((stage) => sizeOf(pest, stage));
      expect(sizes).toEqual(sizes.toSorted((a, b) => a - b));
    }
    expect(() => sizeOf("aphid", "egg")).toThrow(RangeError);
  });

  it("are as long on the screen as they are, once it is measured: twenty times a gnat is six centimetres", () => {
    expect(trueBodyPx("fungusGnat", "adult", 4, 20)).toBe(240);
    const svg = renderToStaticMarkup(<Animal pest="fungusGnat" stage="adult" bodyPx={240} label="A gnat" />);
    // The body is 100 of the 180 units that are drawn.
    expect(svg).toContain('width="432"');
    expect(svg).toContain('aria-label="A gnat"');
  });
});

describe("what is taken for them", () => {
  it("is drawn, each otherwise, and always with its words", () => {
    const drawn = lookAlikeIds.map((id) => renderToStaticMarkup(<LookAlike id={id} />));
    expect(new Set(drawn).size).toBe(lookAlikeIds.length);
    for (const one of drawn) expect(one).not.toMatch(/NaN|undefined/);
    const list = renderToStaticMarkup(<LookAlikes ids={["perlite"]} />);
    expect(list).toContain("Perlite, mineral grains");
    expect(list).toContain("alcohol does nothing");
  });
});
