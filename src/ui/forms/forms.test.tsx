import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import { growthFormIds, spotsOf } from "@/core/knowledge/plants/growthForms";
import type { SpotId } from "@/core/knowledge/plants/spots";
import { spotNames } from "@/wording/names/names";
import { FormDrawing } from "./FormDrawing";
import { drawings } from "./index";
import { along, ellipse, strip, type Region } from "./shapes";

const regionsOf = (form: (typeof growthFormIds)[number]) =>
  Object.entries(drawings[form].regions) as [SpotId, Region][];

describe("the drawings of growth forms", () => {
  it.each(growthFormIds)("%s: its regions are exactly its hiding places", (form) => {
    expect(
      regionsOf(form)
        .map(([spot]) => spot)
        .toSorted(),
    ).toEqual([...spotsOf(form)].toSorted());
  });

  it.each(growthFormIds)("%s: every number lies on the ground and can be told from its neighbours", (form) => {
    const all = regionsOf(form).map(([spot, { at }]) => ({ spot, x: at[0], y: at[1] }));
    for (const a of all) {
      expect(a.x > 12 && a.x < 308 && a.y > 12 && a.y < 308, a.spot).toBe(true);
      for (const b of all)
        if (a !== b) expect(Math.hypot(a.x - b.x, a.y - b.y), `${a.spot} and ${b.spot}`).toBeGreaterThanOrEqual(25);
    }
  });

  it.each(growthFormIds)("%s: no path holds a number that is none", (form) => {
    const paths = [...drawings[form].lines.map((one) => one.d), ...regionsOf(form).map(([, region]) => region.d)];
    for (const d of paths) expect(d).toMatch(/^M[-0-9.MLQCAVHZ ]+$/);
  });

  it("names every place, tells which are ticked, and shows numbers in the order given", () => {
    const order = spotsOf("fern");
    const html = renderToStaticMarkup(
      <FormDrawing form="fern" order={order} ticked={["crown"]} onPress={() => undefined} />,
    );
    for (const spot of order) expect(html).toContain(`aria-label="${spotNames[spot]}"`);
    expect(html.match(/aria-checked="true"/g)).toHaveLength(1);
    expect(html.match(/<text[^>]*>\d+</g)?.map((text) => Number(text.match(/(\d+)<$/)![1]))).toEqual(
      order.map((_, i) => i + 1).filter((n) => n !== order.indexOf("crown") + 1),
    );
    expect(renderToStaticMarkup(<FormDrawing form="fern" order={order} ticked={[]} />)).not.toContain("checkbox");
  });

  it("directions are degrees clockwise from straight up", () => {
    expect(along(0, 0, 90, 10).map(Math.round)).toEqual([10, -0]);
    expect(along(5, 5, 180, 10).map(Math.round)).toEqual([5, 15]);
    expect(ellipse(10, 10, 5, 3)).toBe("M5 10A5 3 0 1 1 15 10A5 3 0 1 1 5 10Z");
    expect(strip(0, 10, 0, 0, 2)).toBe("M-2 10L-2 0A2 2 0 0 1 2 0L2 10A2 2 0 0 1 -2 10Z");
  });
});
