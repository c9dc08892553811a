import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { v7 as uuidv7 } from "uuid";
import { ownDatabase, type OwnDatabase } from "@/db/testing/ownDatabase";
import { atTheDoor } from "../../access/session";
import { makeOwner } from "../../access/door";
import { addPerson } from "../../access/people";
import { expectOk } from "../../shared/outcome";
import { codes, freshCollection, NOW } from "../builders";

/** A house in which nobody is asked yet. */
describe("the first person", () => {
  let own: OwnDatabase;
  beforeAll(async () => {
    own = await ownDatabase(inject("templateUrl"));
  });
  afterAll(() => own.drop());

  it("is an owner's, who can answer: a sitter added before is refused, and nobody is shut out", async () => {
    const { context } = await freshCollection({}, NOW, own.appUrl);
    const sitter = { id: uuidv7(), name: "Bo", role: "sitter" as const, from: null, until: null };
    expect(codes(await addPerson(context, sitter, []))).toEqual([" no_owner_yet"]);
    expect(await atTheDoor(own.appUrl, null, NOW)).toEqual({ open: true });
    const caller = { databaseUrl: own.appUrl, address: "10.0.0.1", now: NOW };
    const owner = { id: uuidv7(), name: "Ada", passphrase: "lamp moss kettle orchid", device: "Laptop" };
    expectOk(await makeOwner(caller, owner));
    expectOk(await addPerson({ ...context, accountId: owner.id }, sitter, []));
  });
});
