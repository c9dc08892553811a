import { expect, it } from "vitest";
import { addDays } from "@/core/shared/days";
import * as plantStates from "@/db/stores/plants/plantStates";
import { scopeOf, today } from "../../shared/context";
import { freshCollection, plantOn } from "../builders";

it("of many plants the first are listed shelf by shelf and as people count, and the rest are counted", async () => {
  const { context, shelf, other } = await freshCollection();
  for (const code of ["P10", "P2", "P1"]) await plantOn(context, shelf, { code });
  await plantOn(context, other, { code: "A1" });
  const scope = scopeOf(context, "record");
  const rows = await plantStates.list(scope);
  expect(rows.map(({ code }) => code)).toEqual(["A1", "P1", "P2", "P10"]);
  const states = rows.map(({ id, ...row }) => ({ ...row, plantId: id, slot: null, state: "atRisk" as const }));
  await plantStates.refreshState(scope, states as never);
  const listed = async (...places: string[]) => {
    const found = await plantStates.firstInState(scope, "atRisk", places, 3);
    return [found.all, found.listed.map(({ code }) => code)];
  };
  expect(await listed(shelf, other)).toEqual([4, ["P1", "P2", "P10"]]);
  expect(await listed(other, shelf)).toEqual([4, ["A1", "P1", "P2"]]);
  // A place that is not among them comes last.
  expect(await listed(other)).toEqual([4, ["A1", "P1", "P2"]]);
  expect(await plantStates.firstInState(scope, "new", [shelf], 3)).toEqual({ all: 0, listed: [] });
  // What is overdue is due today, and of each day the first codes are named.
  const [first] = rows;
  const due = await plantStates.lookDays(scope, addDays(today(context), 400), addDays(today(context), 401), 2);
  expect(due).toEqual([{ day: addDays(today(context), 400), plants: 4, codes: ["A1", "P1"] }]);
  expect(await plantStates.lookDays(scope, first!.lookDueOn, addDays(today(context), -400), 2)).toEqual([]);
});
