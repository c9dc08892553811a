import { describe, expect, it } from "vitest";
import { toleranceShownBy } from "./toleranceShown";

describe("what a kind has borne here", () => {
  it("is counted mix by mix; how an oil dried is neither good nor bad", () => {
    const said = (mix: "soapMild" | "oil1", what: "nothing" | "scorch" | "matt" | "rot") => ({ mix, what });
    const all = [
      said("soapMild", "nothing"),
      said("oil1", "matt"),
      said("soapMild", "scorch"),
      said("soapMild", "nothing"),
    ];
    expect(toleranceShownBy(all)).toEqual([{ mix: "soapMild", well: 2, badly: [{ what: "scorch", times: 1 }] }]);
    expect(toleranceShownBy([said("oil1", "rot")])).toEqual([
      { mix: "oil1", well: 0, badly: [{ what: "rot", times: 1 }] },
    ]);
    expect(toleranceShownBy([])).toEqual([]);
  });
});
