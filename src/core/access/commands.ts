import { z } from "zod";
import { dayField, id, orNothing, requiredText, text } from "../shared/fields";
import { roleIds } from "./roles";

/** The shapes of what is asked at the door, and of what owners decide about their people. */

const NAME_MOST = 40;
/** A passphrase has so many characters at least; spaces count. Source: OWASP ASVS 4.0.3, 2.1.1 and 2.1.2. */
export const PASSPHRASE_LEAST = 12;
const PASSPHRASE_MOST = 128;

const name = requiredText(NAME_MOST);
/** Taken as it was typed, spaces and all; how long it must be is said in words of its own. */
const passphrase = z.string().max(PASSPHRASE_MOST);
/** A secret as links and devices carry it. */
const token = z.string().regex(/^[A-Za-z0-9_-]{43}$/);

export const makeOwner = z.object({ id, name, passphrase, device: text(NAME_MOST) });
export const logIn = z.object({ name, passphrase, device: text(NAME_MOST) });
export const recover = z.object({ name, code: text(40), passphrase, device: text(NAME_MOST) });
export const takePairing = z.object({ token, device: requiredText(NAME_MOST) });
export const changePassphrase = z.object({ old: passphrase, passphrase });

const days = { from: orNothing(dayField), until: orNothing(dayField) };
const inOrder = ({ from, until }: { from: string | null; until: string | null }) =>
  from === null || until === null || from <= until;
const notInOrder = { path: ["until"], params: { code: "not_ascending" } };

export const addPerson = z.object({ id, name, role: z.enum(roleIds), ...days }).refine(inOrder, notInOrder);
export const changePerson = z
  .object({
    accountId: id,
    /** Null ends what they have to do with the collection. */
    role: z.enum(roleIds).nullable(),
    ...days,
  })
  .refine(inOrder, notInOrder);
export const pairDevice = z.object({ accountId: id });
export const endDevice = z.object({ deviceId: id });

export type MakeOwner = z.output<typeof makeOwner>;
export type LogIn = z.output<typeof logIn>;
export type Recover = z.output<typeof recover>;
export type TakePairing = z.output<typeof takePairing>;
export type ChangePassphrase = z.output<typeof changePassphrase>;
export type AddPerson = z.output<typeof addPerson>;
export type ChangePerson = z.output<typeof changePerson>;
