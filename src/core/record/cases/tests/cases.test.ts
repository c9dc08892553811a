import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Closing, Look } from "../../facts/facts";
import { caseFiledUnder, caseNamed, casesOf } from "../cases";
import { at, closing, find, look, nextId, on, struck } from "./facts";

const A = nextId();
const B = nextId();
const told = (looks: Look[], closings: Closing[] = []) =>
  casesOf(looks, closings).map((one) => [one.id, one.pest, one.openedOn, one.closing?.day ?? null]);

describe("the cases that facts come to", () => {
  it.each<[string, Look[], Closing[], unknown[]]>([
    ["nothing found", [look(1), look(8)], [], []],
    ["a find and another", [find(1, A), find(8, A)], [], [[A, "mealybug", on(1), null]]],
    [
      "another pest",
      [find(1, A), find(3, B, "thrips")],
      [],
      [
        [A, "mealybug", on(1), null],
        [B, "thrips", on(3), null],
      ],
    ],
    [
      "closed, and found again",
      [find(1, A), find(40, B)],
      [closing(20, A)],
      [
        [A, "mealybug", on(1), on(20)],
        [B, "mealybug", on(40), null],
      ],
    ],
    ["the opening find struck out", [struck(find(1, A)), find(8, A)], [], [[A, "mealybug", on(8), null]]],
    ["both struck out", [struck(find(1, A)), struck(find(8, A))], [], []],
    ["a find written down late, under a name of its own", [find(8, A), find(2, B)], [], [[A, "mealybug", on(2), null]]],
    [
      "a late find before a closing belongs to what was closed",
      [find(1, A), find(12, B)],
      [closing(20, A)],
      [[A, "mealybug", on(1), on(20)]],
    ],
    [
      "a closing struck out makes one case of two",
      [find(1, A), find(40, B)],
      [struck(closing(20, A))],
      [[A, "mealybug", on(1), null]],
    ],
    ["a closing that closes nothing", [find(30, A)], [closing(20, B)], [[A, "mealybug", on(30), null]]],
    ["a closing of another pest", [find(1, A)], [closing(20, A, { pest: "thrips" })], [[A, "mealybug", on(1), null]]],
  ])("%s", (_why, looks, closings, expected) => {
    expect(told(looks, closings)).toEqual(expected);
  });

  it("a case torn in two by a closing written down late: the second bears the id of its own first find", () => {
    const [first, second] = [find(1, A), find(30, A)];
    const cases = casesOf([first, second], [closing(10, A)]);
    expect(cases.map((one) => one.id)).toEqual([A, second.finds[0]!.id]);
    expect(caseNamed(cases, A)!.openedOn).toBe(on(1));
    expect(caseFiledUnder(cases, A, at(5))!.openedOn).toBe(on(1));
    expect(caseFiledUnder(cases, A, at(35))!.openedOn).toBe(on(30));
    expect(caseNamed(cases, nextId())).toBeNull();
  });

  it("one id offered for two pests of one look is borne by one of them", () => {
    const both = look(1, [{ caseId: A }, { caseId: A, pest: "aphid" }]);
    const ids = casesOf([both], []).map((one) => one.id);
    expect(new Set(ids).size).toBe(2);
    expect(ids).toContain(A);
  });

  it("what lies years before it was written down stands beside them", () => {
    expect(casesOf([{ ...find(1, A), recordedAt: new Date("2030-01-01") }], [])).toEqual([]);
  });

  it("do not depend on the order in which the facts arrive, and no day holds two open cases of one pest", () => {
    const fact = fc.oneof(
      fc.record({
        day: fc.integer({ min: 0, max: 60 }),
        pest: fc.constantFrom("mealybug" as const, "thrips" as const),
      }),
      fc.record({
        day: fc.integer({ min: 0, max: 60 }),
        closes: fc.constantFrom("mealybug" as const, "thrips" as const),
      }),
    );
    fc.assert(
      fc.property(
        fc.array(fact, { maxLength: 14 }),
        fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })),
        (given, order) => {
          const facts = given.map((one) =>
            "pest" in one ? find(one.day, nextId(), one.pest) : closing(one.day, nextId(), { pest: one.closes }),
          );
          const shuffled = facts
            .map((one) => [order.next().value as number, one] as const)
            .toSorted((a, b) => a[0] - b[0])
            .map(([, one]) => one);
          const of = (all: typeof facts) =>
            casesOf(
              all.filter((one): one is Look => "finds" in one),
              all.filter((one): one is Closing => "outcome" in one),
            );
          const cases = of(facts);
          expect(of(shuffled)).toEqual(cases);
          expect(new Set(cases.map((one) => one.id)).size).toBe(cases.length);
          expect(cases.flatMap((one) => one.finds)).toHaveLength(facts.filter((one) => "finds" in one).length);
          for (const pest of ["mealybug", "thrips"]) {
            const own = cases.filter((one) => one.pest === pest);
            for (const [i, one] of own.entries()) {
              const next = own[i + 1];
              expect(one.open).toBe(next === undefined && one.closing === null);
              if (next) expect(one.closing!.at <= next.openedAt).toBe(true);
            }
          }
        },
      ),
    );
  });
});
