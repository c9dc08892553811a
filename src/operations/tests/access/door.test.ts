import { inject } from "vitest";
import { beforeAll, describe, expect, it } from "vitest";
import { v7 as uuidv7 } from "uuid";
import { z } from "zod";
import type { Day } from "@/core/shared/days";
import { connect } from "@/db/connection";
import { rows, run } from "@/db/query";
import { roleIds, type RoleId } from "@/core/access/roles";
import type { Context } from "../../shared/context";
import { atTheDoor, collectionsOpenTo, mayBegin, type Session } from "../../access/session";
import { logIn, makeOwner, recover, takePairing, type Caller } from "../../access/door";
import {
  addPerson,
  changePassphrase,
  changePerson,
  endDevice,
  pair,
  readAuditLog,
  readPeople,
} from "../../access/people";
import { expectOk } from "../../shared/outcome";
import { codes, freshCollection, NOW } from "../builders";

const PASSPHRASE = "lamp moss kettle orchid";
const forGood = { from: null, until: null };

/** One house with one owner; every account in this database is made here. */
describe("the door", () => {
  const databaseUrl = inject("appUrl");
  let mine: Context;
  let another: Context;
  let ada: Session;
  let recoveryCodes: readonly string[];
  const call = (over: Partial<Caller> = {}): Caller => ({ databaseUrl, address: "10.0.0.7", now: NOW, ...over });
  const later = (seconds: number) => new Date(NOW.getTime() + 1000 * seconds);
  const who = async (token: string, now = NOW) => {
    const door = await atTheDoor(databaseUrl, token, now);
    return door.open ? null : door.asker;
  };
  const enter = (name: string, passphrase: string, over: Partial<Caller> = {}) =>
    logIn(call(over), { name, passphrase, device: "Laptop" }, null);

  beforeAll(async () => {
    mine = (await freshCollection()).context;
    another = (await freshCollection()).context;
    expect(await atTheDoor(databaseUrl, null, NOW)).toEqual({ open: true });
    const made = expectOk(
      await makeOwner(call(), { id: uuidv7(), name: "Ada", passphrase: PASSPHRASE, device: "Laptop" }),
    );
    recoveryCodes = made.recoveryCodes!;
    ada = (await who(made.token))!;
  });

  it("the first owner owns what is there; there is no second first", async () => {
    const open = await collectionsOpenTo(databaseUrl, { open: false, asker: ada }, NOW);
    const ids = open.filter(({ role }) => role === "owner").map(({ collection }) => collection.id);
    expect(ids).toEqual(expect.arrayContaining([mine.collection.id, another.collection.id]));
    const again = await makeOwner(call(), { id: uuidv7(), name: "Eve", passphrase: PASSPHRASE, device: "" });
    expect(codes(again)).toEqual([" owner_exists"]);
    expect(await atTheDoor(databaseUrl, null, NOW)).toEqual({ open: false, asker: null });
  });

  it("no name is told from another, and a secret is of one device", async () => {
    expect(codes(await enter("Ada", "something else it is"))).toEqual(codes(await enter("Nobody", PASSPHRASE)));
    const [one, two] = [expectOk(await enter("ADA", PASSPHRASE)), expectOk(await enter("Ada", PASSPHRASE))];
    expect(one.token).not.toBe(two.token);
    // Coming in again in the same browser replaces the secret.
    const next = expectOk(await logIn(call(), { name: "Ada", passphrase: PASSPHRASE, device: "Laptop" }, one.token));
    expect(await who(one.token)).toBeNull();
    expect(await who(two.token)).not.toBeNull();
    expect(await who(next.token)).not.toBeNull();
    expect(await who("x".repeat(43))).toBeNull();
  });

  it("a device that stays away for too long is out, and one that comes stays in", async () => {
    const { token, endsAt } = expectOk(await enter("Ada", PASSPHRASE));
    const day = 86_400;
    expect(await who(token, later(29 * day))).not.toBeNull();
    expect(await who(token, new Date(endsAt.getTime() + 1))).not.toBeNull();
    expect(await who(token, later(61 * day))).toBeNull();
  });

  // Source: OWASP ASVS 4.0.3, 2.2.1: no more than 100 failed attempts an hour on one account.
  it("guessing is slowed down by address and name together, and by address; at once too", async () => {
    const from = { address: "10.1.0.1", now: later(3600 * 24) };
    const tries = await Promise.all(Array.from({ length: 12 }, (_, i) => enter("Ida", `guess number ${i}`, from)));
    const all = tries.flatMap(codes);
    expect(all.filter((code) => code === " not_let_in").length).toBeLessThanOrEqual(6);
    expect(all).toContain(" too_many_tries");
    const day = later(3600 * 48);
    const names = await Promise.all(
      Array.from({ length: 26 }, (_, i) => enter(`Name ${i}`, PASSPHRASE, { address: "10.2.0.1", now: day })),
    );
    expect(names.flatMap(codes)).toContain(" too_many_tries");
    // Whoever waits may try again.
    const hour = later(3600 * 49 + 60);
    expect(codes(await enter("Name 1", PASSPHRASE, { address: "10.2.0.1", now: hour }))).toEqual([" not_let_in"]);
  });

  it("an hour of guessing at one name from one address tries less than a hundred times", async () => {
    let tried = 0;
    for (let second = 0; second < 3600; second += 10) {
      const now = later(3600 * 72 + second);
      const result = await enter("Guessed", "a", { address: "10.3.0.1", now });
      if (codes(result)[0] === " not_let_in") tried++;
    }
    expect(tried).toBeLessThan(100);
  });

  it("whoever guesses elsewhere keeps nobody out: not with the passphrase, and not with a code", async () => {
    const now = later(3600 * 90);
    for (let i = 0; i < 12; i++) await enter("Ada", `wrong number ${i}`, { address: `10.4.0.${i % 3}`, now });
    expect((await enter("Ada", PASSPHRASE, { address: "10.5.0.1", now })).ok).toBe(true);
    // Even from where the guessing goes on.
    const guessed = { name: "ada", code: "AAAA-BBBB-CCCC-DDDD", passphrase: PASSPHRASE, device: "Phone" };
    for (let i = 0; i < 8; i++) await recover(call({ address: "10.4.0.1", now }), guessed, null);
    const command = { ...guessed, code: recoveryCodes[1]! };
    expect((await recover(call({ address: "10.4.0.1", now }), command, null)).ok).toBe(true);
  });

  it("a code lets in once, whatever its letters; other devices are out", async () => {
    const { token } = expectOk(await enter("Ada", PASSPHRASE));
    const typed = recoveryCodes[0]!.toLowerCase().replaceAll("-", " ");
    const command = { name: "ada", code: typed, passphrase: PASSPHRASE, device: "Phone" };
    const letIn = expectOk(await recover(call(), command, null));
    expect(await who(token)).toBeNull();
    expect(codes(await recover(call(), command, null))).toEqual([" code_wrong"]);
    ada = (await who(letIn.token))!;
  });

  it("somebody is added, let in by a link that works once and within five minutes, and shown out", async () => {
    const { id } = expectOk(await addPerson(mine, { id: uuidv7(), name: "Bo", role: "sitter", ...forGood }, []));
    const { token } = expectOk(await pair(call(), ada, id, [mine, another]));
    expect(codes(await takePairing(call({ now: later(301) }), { token, device: "Phone" }, null))).toEqual([
      " pairing_over",
    ]);
    const both = await Promise.all([1, 2].map(() => takePairing(call(), { token, device: "Phone" }, null)));
    expect(both.filter(({ ok }) => ok)).toHaveLength(1);
    const letIn = both.find((one) => one.ok)!;
    const bo = (await who(letIn.ok ? letIn.value.token : ""))!;
    expect(bo).toMatchObject({ name: "Bo", device: "Phone" });
    const open = await collectionsOpenTo(databaseUrl, { open: false, asker: bo }, NOW);
    expect(open.map(({ collection, role }) => [collection.id, role])).toEqual([[mine.collection.id, "sitter"]]);
    expect(await mayBegin(databaseUrl, { open: false, asker: bo }, NOW)).toBe(false);
    // Nobody ends devices, or makes links, that are not theirs to.
    expect(codes(await endDevice(call(), bo, ada.deviceId, []))).toEqual([" unknown"]);
    expect(codes(await pair(call(), bo, ada.accountId, []))).toEqual([" not_allowed"]);
    expect(codes(await pair(call(), ada, bo.accountId, []))).toEqual([" not_allowed"]);
    expectOk(await changePassphrase(call(), bo, { old: "", passphrase: "orchid moss lamp kettle" }));
    expect(codes(await pair(call(), ada, id, [mine, another]))).toEqual([" not_allowed"]);
    expectOk(await endDevice(call(), ada, bo.deviceId, [mine]));
    expect(await who(letIn.ok ? letIn.value.token : "")).toBeNull();
  });

  it("whoever has to do with a collection of somebody else's is not let in by a link of one owner's", async () => {
    const { id } = expectOk(await addPerson(mine, { id: uuidv7(), name: "Cy", role: "keeper", ...forGood }, []));
    expectOk(await addPerson(another, { id: uuidv7(), name: "Cy", role: "reader", ...forGood }, [id]));
    expect(codes(await pair(call(), ada, id, [mine]))).toEqual([" not_allowed"]);
    expectOk(await pair(call(), ada, id, [mine, another]));
    expect(codes(await addPerson(another, { id: uuidv7(), name: "cy", role: "reader", ...forGood }, [id]))).toEqual([
      "name name_in_use",
    ]);
    expect(codes(await addPerson(mine, { id: uuidv7(), name: "Ada", role: "reader", ...forGood }, []))).toEqual([
      "name name_in_use",
    ]);
  });

  it("a link taken in a browser that is in ends what was in there before", async () => {
    const { id } = expectOk(await addPerson(mine, { id: uuidv7(), name: "Fay", role: "sitter", ...forGood }, []));
    const before = expectOk(await enter("Ada", PASSPHRASE, { now: later(3600 * 200) }));
    const { token } = expectOk(await pair(call(), ada, id, [mine]));
    expectOk(await takePairing(call(), { token, device: "Phone" }, before.token));
    expect(await who(before.token)).toBeNull();
  });

  it("wrong guesses are shown to whoever owns the installation, and to no other owner", async () => {
    await enter("Ida", "a wrong guess it is", { address: "10.9.0.1", now: later(3600 * 300) });
    const { id } = expectOk(await addPerson(another, { id: uuidv7(), name: "Ed", role: "owner", ...forGood }, []));
    const guessed = async (accountId: string) =>
      (await readAuditLog({ ...another, accountId })).some(({ what }) => what === "not let in");
    expect(await guessed(ada.accountId)).toBe(true);
    expect(await guessed(id)).toBe(false);
  });

  it("nothing of the list of who did what can be changed or taken out, and other collections are not seen", async () => {
    const asks = { sequelize: connect(databaseUrl), transaction: undefined };
    await expect(run(asks, "delete from doings")).rejects.toThrow(/permission denied/);
    await expect(run(asks, "update doings set who = 'nobody'")).rejects.toThrow(/permission denied/);
    const count = async (table: string, about: object) => {
      const shape = z.object({ n: z.number() });
      return (await rows({ ...asks, ...about }, shape, `select count(*)::int as n from ${table}`))[0]!.n;
    };
    for (const table of ["collections", "memberships", "doings", "feeds"])
      expect(await count(table, {}), table).toBe(0);
    expect(await count("collections", { collectionId: mine.collection.id })).toBe(1);
    expect(await count("collections", { accountId: ada.accountId })).toBeGreaterThanOrEqual(2);
    expect(await count("memberships", { accountId: uuidv7() })).toBe(0);
  });

  it("a sitter for the holidays has no collection before and after", async () => {
    const days = { from: "2026-12-20" as Day, until: "2027-01-04" as Day };
    const { id } = expectOk(await addPerson(mine, { id: uuidv7(), name: "Di", role: "sitter", ...days }, []));
    const { token } = expectOk(await pair(call(), ada, id, [mine]));
    const di = (await who(expectOk(await takePairing(call(), { token, device: "Phone" }, null)).token))!;
    const open = async (at: string) =>
      (await collectionsOpenTo(databaseUrl, { open: false, asker: di }, new Date(at))).length;
    expect(await open("2026-12-19T12:00:00Z")).toBe(0);
    expect(await open("2026-12-20T12:00:00Z")).toBe(1);
    expect(await open("2027-01-05T12:00:00Z")).toBe(0);
  });

  it("a collection keeps an owner; only owners decide", async () => {
    const change = { accountId: ada.accountId, role: "reader" as RoleId, ...forGood };
    expect(codes(await changePerson(mine, change))).toEqual(["role last_owner"]);
    expect(codes(await changePerson(mine, { ...change, role: null }))).toEqual(["role last_owner"]);
    for (const role of roleIds.filter((one) => one !== "owner")) {
      expect(codes(await changePerson({ ...mine, role }, change))).toEqual([" not_allowed"]);
      expect(() => readAuditLog({ ...mine, role })).toThrow();
      await expect(readPeople({ ...mine, role })).rejects.toThrow();
    }
    const view = await readPeople(mine);
    expect(view.people.find(({ name }) => name === "Ada")).toMatchObject({ role: "owner", hasPassphrase: true });
  });

  it("secrets are not kept as they are", async () => {
    const sequelize = connect(databaseUrl);
    const [rows] = await sequelize.query("select passphrase_hash as h from accounts where lower(name) = 'ada'");
    // RFC 9106, section 4, the second recommended option: Argon2id, 64 MiB, 3 passes, 4 lanes.
    expect((rows[0] as { h: string }).h).toMatch(/^\$argon2id\$v=19\$m=65536,t=3,p=4\$/);
    await run({ sequelize, transaction: undefined }, "delete from attempts");
  });
});
