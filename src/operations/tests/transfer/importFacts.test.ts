import Papa from "papaparse";
import { describe, expect, it } from "vitest";
import type { Cells, FactTable } from "@/core/record/format/csvFacts";
import type { Context } from "../../shared/context";
import { expectOk } from "../../shared/outcome";
import { readPlant } from "../../plants/queries/readPlant";
import { recordAct } from "../../acts/commands/recordAct";
import { recordLook } from "../../looks/commands/recordLook";
import { importFacts } from "../../transfer/importFacts";
import { readCsvRows } from "../../transfer/csv";
import { voidFact } from "../../record/commands/voidFact";
import { aFind, aLook, aSpray, freshCollection, openCaseOn, plantOn, wall } from "../builders";

/** The tables as a spreadsheet gets them and gives them back. */
async function tablesOf(context: Context): Promise<Record<FactTable, Cells[]>> {
  const through = async (table: FactTable) => {
    const rows = await readCsvRows(context, table);
    const columns = [...new Set(rows.flatMap((row) => Object.keys(row)))];
    return Papa.parse<Cells>(Papa.unparse(rows as object[], { columns, escapeFormulae: true }), { header: true }).data;
  };
  return { looks: await through("looks"), finds: await through("finds"), acts: await through("acts") };
}

async function told(context: Context, plantId: string) {
  const { record } = (await readPlant(context, plantId))!;
  return {
    looks: record.looks.map(({ id, at, tool, note, finds }) => [id, at, tool, note, finds.map(({ id: f }) => f)]),
    acts: record.acts.map(({ id, at, act, caseId }) => [id, at, act, caseId !== null]),
    cases: record.cases.map(({ pest, openedAt, open }) => [pest, openedAt, open]),
  };
}

describe("looks, finds and acts from tables", () => {
  it("come into another collection as they left this one, once however often", async () => {
    const from = await freshCollection();
    const plant = await plantOn(from.context, from.shelf, { code: "L04" });
    const caseId = await openCaseOn(from.context, plant, 20);
    expectOk(await recordLook(from.context, aLook(plant, 12, { note: "=SUM(1;2)", finds: [aFind({ count: 2 })] })));
    expectOk(await recordAct(from.context, aSpray(plant, caseId, 11)));
    const struck = aLook(plant, 3);
    expectOk(await recordLook(from.context, struck));
    const before = await tablesOf(from.context);
    expectOk(await voidFact(from.context, { kind: "look", factId: struck.id, reason: "not this one" }));
    const tables = await tablesOf(from.context);

    const into = await freshCollection();
    const same = await plantOn(into.context, into.shelf, { code: "l04" });
    expect(await importFacts(into.context, tables)).toEqual({ ok: true, added: 3, known: 0, struckOut: 1 });
    expect(await importFacts(into.context, tables)).toEqual({ ok: true, added: 0, known: 3, struckOut: 1 });
    expect(await importFacts(into.context, before)).toMatchObject({ ok: true, added: 1, known: 3 });
    expectOk(await voidFact(into.context, { kind: "look", factId: struck.id, reason: "not this one" }));
    expect(await told(into.context, same)).toEqual(await told(from.context, plant));
  });

  it("kept elsewhere, without ids: a day is its noon here, the usual tool and places, and still once", async () => {
    const { context, shelf } = await freshCollection();
    const plant = await plantOn(context, shelf, { code: "L04" });
    const finds = [{ plant: "L04", at: "2026-11-20", pest: "mealybug", count: "3" }];
    const looks = [{ plant: "L04", at: "2026-11-22 08:30" }];
    const tables = { looks, finds, acts: [] };
    expect(await importFacts(context, tables)).toMatchObject({ ok: true, added: 2 });
    expect(await importFacts(context, tables)).toMatchObject({ ok: true, added: 0, known: 2 });
    const { record } = (await readPlant(context, plant))!;
    expect(record.looks.map(({ at }) => at)).toEqual([wall(4, "12:00"), wall(2, "08:30")]);
    expect(record.looks.every(({ spots }) => spots.length > 2 && !spots.includes("roots"))).toBe(true);
    expect(record.cases).toMatchObject([{ pest: "mealybug", open: true }]);
  });

  it("of today, before its noon, it was just now; told again in the evening it is the same", async () => {
    const { context, shelf } = await freshCollection();
    const plant = await plantOn(context, shelf, { code: "L04" });
    const tables = { looks: [], finds: [{ plant: "L04", at: "2026-11-24", pest: "mealybug", count: "3" }], acts: [] };
    const morning = { ...context, now: wall(0, "08:00") };
    expect(await importFacts(morning, tables)).toMatchObject({ ok: true, added: 1 });
    expect(await importFacts(context, tables)).toMatchObject({ ok: true, added: 0, known: 1 });
    expect((await readPlant(context, plant))!.record.looks.map(({ at }) => at)).toEqual([wall(0, "08:00")]);
  });

  it("all of it or nothing: what the record has against a row is told at that row", async () => {
    const { context, shelf } = await freshCollection();
    const plant = await plantOn(context, shelf, { code: "L04" });
    const look = (at: string) => ({ plant: "L04", at });
    const came = await importFacts(context, {
      looks: [look("2026-11-20"), look("2027-01-01"), { ...look("2026-11-21"), spots: "areole" }],
      ...{ finds: [], acts: [] },
    });
    expect(came).toMatchObject({
      ok: false,
      refused: [
        { table: "looks", row: 2, problem: { code: "in_future" } },
        { table: "looks", row: 3, problem: { code: "spot_not_there" } },
      ],
    });
    expect((await readPlant(context, plant))!.record.looks).toEqual([]);
  });

  it("a find that its look on record does not have is not quietly lost", async () => {
    const { context, shelf } = await freshCollection();
    const plant = await plantOn(context, shelf, { code: "L04" });
    const look = aLook(plant, 5);
    expectOk(await recordLook(context, look));
    const find = { look: look.id, plant: "L04", at: "2026-11-19 18:00", pest: "mealybug", count: "3" };
    expect(await importFacts(context, { looks: [], finds: [find], acts: [] })).toMatchObject({
      ok: false,
      refused: [{ table: "finds", row: 1, problem: { code: "look_without_it" } }],
    });
  });

  it("only somebody who records may", async () => {
    const { context } = await freshCollection();
    for (const role of ["sitter", "reader"] as const)
      await expect(importFacts({ ...context, role }, { looks: [], finds: [], acts: [] })).rejects.toThrow("no right");
  });
});
