import { describe, expect, it } from "vitest";
import { passphraseProblem } from "../../access/passphrase";
import { hashPassphrase, hashSecret, isPassphrase, newRecoveryCodes, newSecret, plainCode } from "../../access/secrets";

describe("secrets", () => {
  it("are never the same twice, and of the length that links and cookies take", () => {
    const all = Array.from({ length: 200 }, newSecret);
    expect(new Set(all).size).toBe(200);
    expect(all.every((one) => /^[A-Za-z0-9_-]{43}$/.test(one))).toBe(true);
    expect(hashSecret(all[0]!)).toEqual(hashSecret(all[0]!));
    expect(hashSecret(all[0]!)).not.toEqual(hashSecret(all[1]!));
  });

  it("codes have no letters that are taken for each other, and may be typed as one likes", () => {
    const codes = newRecoveryCodes(50);
    expect(new Set(codes).size).toBe(50);
    expect(codes.every((code) => /^([A-HJKMNP-TV-Z2-9]{4}-){3}[A-HJKMNP-TV-Z2-9]{4}$/.test(code))).toBe(true);
    expect(plainCode(codes[0]!.toLowerCase().replaceAll("-", "  "))).toBe(plainCode(codes[0]!));
  });

  it("a passphrase is known again however its accents were typed, and no other is", async () => {
    const hashed = await hashPassphrase("café au lait noir");
    expect(await isPassphrase(hashed, "cafe\u0301 au lait noir")).toBe(true);
    expect(await isPassphrase(hashed, "cafe au lait noir")).toBe(false);
    expect(await isPassphrase(null, "café au lait noir")).toBe(false);
  });

  it.each([
    ["eleven char", "passphrase_short"],
    ["password1234", "passphrase_common"],
    ["123456789012", "passphrase_common"],
    ["aaaaaaaaaaaaaaa", "passphrase_common"],
    ["lamp moss kettle orchid", null],
  ])("%s: %s", (passphrase, problem) => expect(passphraseProblem(passphrase, "Ada")).toBe(problem));
});
