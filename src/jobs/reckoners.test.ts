import { afterAll, describe, expect, it } from "vitest";
import { pestIds, pestOf, type PestId } from "@/core/knowledge/pests/pests";
import { seeChances } from "@/core/model/inspection/see";
import { sitesOn } from "@/core/model/inspection/sitesOn";
import { spotsOf } from "@/core/knowledge/plants/growthForms";
import { reckonQuestions, type Questions } from "@/operations/plants/reckonQuestions";
import { reckoners } from "./reckoners";

const question = (pest: PestId, perDay: number): Questions[number] => {
  const see = seeChances(pestOf(pest), pest, "trailingVine", { tool: "lamp", spots: [...spotsOf("trailingVine")] });
  return {
    ...{ pest: pestOf(pest), sites: sitesOn("trailingVine", pest), dailyMeanC: [22], timeStepDays: 0.5, fromDays: 0 },
    arrival: { share: 0.1, mean: 5 },
    streams: [{ route: "background", fromDays: 0, untilDays: 60, perDay }],
    events: [{ kind: "inspection", atDays: 20.25, found: 0, removed: false, see }],
    ...{ looks: [see], asOfDays: 60 },
  };
};
/** More than one helping for each of two threads. */
const many = pestIds.flatMap((pest) => Array.from({ length: 12 }, (_, i) => question(pest, 1e-4 * (i + 1))));

describe("threads that reckon side by side", () => {
  const { reckonAll, end } = reckoners(2);
  afterAll(end);

  it("give what is reckoned here, to the last digit and in the order asked", async () => {
    expect(await reckonAll([])).toEqual([]);
    expect(await reckonAll(many)).toEqual(reckonQuestions(many));
  });

  it("one that fails takes its questions with it and says why; the next are reckoned by others", async () => {
    const broken = { ...many[0]!, sites: null } as unknown as Questions[number];
    // What waits behind it is reckoned or told of as well: this would never come back if it were left waiting.
    const [bad] = await Promise.allSettled([reckonAll([broken]), reckonAll(many)]);
    expect(bad).toMatchObject({ status: "rejected", reason: expect.any(TypeError) as unknown });
    expect(await reckonAll(many.slice(0, 3))).toEqual(reckonQuestions(many.slice(0, 3)));
  });
});
