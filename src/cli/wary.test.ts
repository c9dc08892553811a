import { spawnSync } from "node:child_process";
import path from "node:path";
import { describe, expect, it } from "vitest";
import { aCaseFile } from "@/core/format/tests/aCase";

const root = path.resolve(import.meta.dirname, "../..");

function wary(args: readonly string[], input = "") {
  const { status, stdout, stderr } = spawnSync(process.execPath, ["--import", "tsx", "src/cli/wary.ts", ...args], {
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
    const { status, stdout } = wary(["plan", "src/core/format/tests/one-scenario.json"]);
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toHaveProperty("approaches");
  });

  it("a bad file: exit 2, a line for each problem with its path, and nothing else", () => {
    const bad = { ...aCaseFile(), colour: "red", temperature: "warm" };
    const { status, stdout } = wary(["assess", "-"], JSON.stringify(bad));
    expect(status).toBe(2);
    expect(stdout.trimEnd().split("\n")).toEqual([
      "temperature: must be number",
      "colour: is not a field of the format",
    ]);
  });

  it("ten megabytes are refused without being read to the end", () => {
    const { status, stdout } = wary(["assess", "-"], "[".repeat(10_000_000));
    expect(status).toBe(2);
    expect(stdout).toBe("file: a case file holds at most 1048576 characters\n");
  });

  it.each([[["assess", "no-such-file.json"]], [["guess", "-"]], [["assess"]], [["assess", "a", "b"]]])(
    "%j: exit 2",
    (args) => {
      expect(wary(args).status).toBe(2);
    },
  );
});
