import { spawnSync } from "node:child_process";
import path from "node:path";
import { describe, expect, it } from "vitest";
import { aCaseFile } from "@/core/record/format/tests/aCase";

const root = path.resolve(import.meta.dirname, "../..");

function wary(args: readonly string[], input = "") {
  const { status, stdout, stderr } = spawnSync(process.execPath, ["scripts/wary.mjs", ...args], {
    cwd: root,
    input,
    encoding: "utf8",
  });
  return { status, stdout, stderr };
}

describe("the wary command", () => {
  it("assess reads standard input and prints one answer in JSON", () => {
    const { status, stdout } = wary(["assess", "-"], JSON.stringify(aCaseFile()));
    expect(status).toBe(0);
    const answer = JSON.parse(stdout) as { pClear: number; weights: number[]; scenarioPClear: number[] };
    expect(answer.pClear).toBeGreaterThan(0);
    expect([answer.weights.length, answer.scenarioPClear.length]).toEqual([9, 9]);
  });

  it("plan reads a file", () => {
    const { status, stdout } = wary(["plan", "src/core/record/format/tests/one-scenario.json"]);
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toHaveProperty("approaches");
  });

  it("experience is shown with its spans, merged once for each keeper, and refused with the file's name", () => {
    const part = {
      keeper: "0".repeat(32),
      cases: 3,
      courses: [],
      sights: [{ tool: "eye", saw: 1, of: 4 }],
      closings: [],
    };
    const file = JSON.stringify({ format: "wary-petal.experience", version: 1, from: [part] });
    const shown = wary(["experience", "show", "-"], file);
    expect(JSON.parse(shown.stdout)).toMatchObject({ keepers: 1, cases: 3, sights: [{ saw: { hits: 1, of: 4 } }] });
    expect(JSON.parse(wary(["experience", "merge", "-"], file).stdout)).toEqual({
      ...JSON.parse(file),
      version: 3,
      from: [
        {
          ...part,
          hands: [],
          eyes: [],
          arrivals: { plants: 0, showed: 0 },
          passing: { looks: 0, precision: 0, pull: 0 },
        },
      ],
    });
    const bad = wary(["experience", "show", "-"], file.replace('"saw":1', '"saw":9'));
    expect([bad.status, bad.stderr]).toEqual([2, "-: from[0].sights[0]: saw more than there was\n"]);
    expect(wary(["experience", "merge"]).status).toBe(2);
    expect(wary(["experience", "show", "nowhere.json"]).stderr).toContain("cannot be read");
  });

  it("a bad file: exit 2, a line for each problem with its path, and nothing else", () => {
    const bad = { ...aCaseFile(), colour: "red", temperature: "warm" };
    const { status, stdout, stderr } = wary(["assess", "-"], JSON.stringify(bad));
    expect(status).toBe(2);
    expect(stdout).toBe("");
    expect(stderr.trimEnd().split("\n")).toEqual([
      "temperature: must be number",
      "colour: is not a field of the format",
    ]);
  });

  it("ten megabytes are refused without being read to the end", () => {
    const { status, stderr } = wary(["assess", "-"], "[".repeat(10_000_000));
    expect(status).toBe(2);
    expect(stderr).toBe("file: a file holds at most 1048576 characters\n");
  });

  it("names of any kind are cut and made harmless, and only so many problems are told", () => {
    const see = Object.fromEntries(
      Array.from({ length: 150 }, (_, i) => [`${"\u001b[31m\u202e".repeat(9)}${i}`, [0, 0]]),
    );
    const [first] = aCaseFile().events;
    const bad = { ...aCaseFile(), events: [{ ...first, look: undefined, see }] };
    const { status, stdout, stderr } = wary(["assess", "-"], JSON.stringify(bad));
    expect([status, stdout]).toEqual([2, ""]);
    const lines = stderr.trimEnd().split("\n");
    expect(lines).toHaveLength(101);
    expect(lines.at(-1)).toBe("and 50 more");
    expect(stderr).not.toMatch(/[\u001b\u202e]/);
  });

  it("whoever stops reading gets no complaint", () => {
    const command = `node scripts/wary.mjs plan src/core/record/format/tests/one-scenario.json | head -c 5`;
    const { stderr, stdout } = spawnSync("sh", ["-c", command], { cwd: root, encoding: "utf8" });
    expect([stdout, stderr]).toEqual(['{\n "a', ""]);
  });

  it.each([[["assess", "no-such-file.json"]], [["guess", "-"]], [["assess"]], [["assess", "a", "b"]]])(
    "%j: exit 2",
    (args) => {
      expect(wary(args).status).toBe(2);
    },
  );
});
