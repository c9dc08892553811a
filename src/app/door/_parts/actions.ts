"use server";

import { revalidatePath } from "next/cache";
import type { z } from "zod";
import { askerNow, asked, callerNow, contextFor, ownedContexts } from "@/app/_parts/server/context";
import { attempt, runCommand, readForm } from "@/app/_parts/server/runCommand";
import * as shapes from "@/core/access/commands";
import * as at from "@/operations/access/door";
import * as people from "@/operations/access/people";
import type { Session } from "@/operations/access/session";
import type { Outcome } from "@/operations/shared/outcome";
import type { CommandResult } from "@/offline/commandResult";
import { forget, held, remember } from "./session";

/** The ways in. A secret goes into the cookie and nowhere else. */
export const makeOwnerAction = async (_none: string, input: unknown) => enter(shapes.makeOwner, input, at.makeOwner);
export const logInAction = async (_none: string, input: unknown) =>
  enter(shapes.logIn, input, async (caller, data) => at.logIn(caller, data, await held()));
export const recoverAction = async (_none: string, input: unknown) =>
  enter(shapes.recover, input, async (caller, data) => at.recover(caller, data, await held()));
export const takePairingAction = async (_none: string, input: unknown) =>
  enter(shapes.takePairing, input, async (caller, data) => at.takePairing(caller, data, await held()));

async function enter<S extends z.ZodType>(
  schema: S,
  input: unknown,
  way: (caller: at.Caller, data: z.output<S>) => Promise<Outcome<at.LetIn>>,
): Promise<CommandResult> {
  const read = readForm(schema, input);
  if (!read.ok) return read;
  const caller = await callerNow();
  return attempt(async () => {
    const outcome = await way(caller, read.data);
    if (!outcome.ok) return outcome;
    await remember(outcome.value);
    revalidatePath("/", "layout");
    return { ok: true, value: { recoveryCodes: outcome.value.recoveryCodes ?? [] } };
  });
}

/** This device is out. */
export async function leaveAction(): Promise<void> {
  const asker = await askerNow();
  if (asker) await people.endDevice(await callerNow(), asker, asker.deviceId, []);
  await forget();
  revalidatePath("/", "layout");
}

const nobody = { ok: false, problems: [{ path: "", code: "not_allowed" }] } as const;

/** Something that only somebody who is known may do. */
async function asAsker<S extends z.ZodType, T extends object>(
  schema: S,
  input: unknown,
  work: (asker: Session, data: z.output<S>, caller: at.Caller) => Promise<Outcome<T>>,
): Promise<CommandResult> {
  const read = readForm(schema, input);
  if (!read.ok) return read;
  const caller = await callerNow();
  const result = await attempt(async () => {
    const asker = await askerNow();
    return asker ? work(asker, read.data, caller) : nobody;
  });
  if (result.ok) revalidatePath("/settings", "layout");
  return result;
}

export const pairAction = async (input: unknown) =>
  asAsker(shapes.pairDevice, input, async (asker, { accountId }, caller) =>
    people.pair(caller, asker, accountId, await ownedContexts()),
  );
export const endDeviceAction = async (_none: string, input: unknown) =>
  asAsker(shapes.endDevice, input, async (asker, { deviceId }, caller) =>
    people.endDevice(caller, asker, deviceId, await ownedContexts()),
  );
export const changePassphraseAction = async (_none: string, input: unknown) =>
  asAsker(shapes.changePassphrase, input, (asker, data, caller) => people.changePassphrase(caller, asker, data));

/** Who has to do with a collection is decided in it. */
export const addPersonAction = async (c: string, input: unknown) =>
  runCommand(
    c,
    "addPerson",
    shapes.addPerson,
    async (context, data) => people.addPerson(context, data, await others(c)),
    input,
  );
export const changePersonAction = async (c: string, input: unknown) =>
  runCommand(c, "changePerson", shapes.changePerson, people.changePerson, input);

/** The people of the asker's other collections: they may be added to this one by their name. */
async function others(collectionId: string): Promise<string[]> {
  if (!(await contextFor({ ...(await asked()), collectionId }))) return [];
  const views = await Promise.all((await ownedContexts()).map((context) => people.readPeople(context)));
  return views.flatMap((view) => view.people.map(({ accountId }) => accountId));
}
