import { describe, expect, it } from "vitest";
import { closing, find, on, record } from "../../record/cases/tests/facts";
import type { Blamed } from "../spread/carries";
import { relapseFrom } from "./relapse";

const [first, second] = [find(0), find(60)];
const [a, b] = [first.finds[0]!.caseId, second.finds[0]!.caseId];
const way = (kind: Blamed["kind"], share: number) =>
  ({ kind, share, pest: "mealybug", key: kind }) as unknown as Blamed;

describe("a pest that is found again after it was called clear", () => {
  const { cases } = record({ looks: [first, second], closings: [closing(30, a)] });
  const again = cases.find(({ id }) => id === b)!;

  it("is a return, with the odds that it never ended", () => {
    const told = relapseFrom(again, cases, [way("remained", 0.6), way("background", 0.2)]);
    expect(told!.clearedOn).toBe(on(30));
    expect(told!.sameLine).toBeCloseTo(0.75, 12);
    expect(relapseFrom(again, cases, null)).toEqual({ clearedOn: on(30), sameLine: null });
  });

  it("is none the first time, nor after one that was given up", () => {
    expect(
      relapseFrom(
        cases.find(({ id }) => id === a)!,
        cases,
        null,
      ),
    ).toBeNull();
    const givenUp = record({ looks: [first, second], closings: [closing(30, a, { outcome: "givenUp" })] });
    expect(
      relapseFrom(
        givenUp.cases.find(({ id }) => id === b)!,
        givenUp.cases,
        null,
      ),
    ).toBeNull();
  });
});
