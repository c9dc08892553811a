"use client";

import { openDB, type DBSchema, type IDBPDatabase } from "idb";
import { v7 as uuidv7 } from "uuid";
import type { SentLater } from "@/core/facts/sentLater";
import type { DeedResult } from "@/ui/fields/deedResult";

/**
 * What was pressed on a walk, kept in this browser until the server has it. It is sent one after the other in the order in
 * which it was made, so that what is taken back arrives after what it takes back. Sending twice is safe: deeds carry ids.
 */
export type Kept = SentLater | { readonly kind: "photo"; readonly input: { id: string; lookId: string; photo: Blob } };

export interface Entry {
  /** Ids are in the order in which entries were made. */
  readonly id: string;
  readonly deed: Kept;
}

export interface Refused extends Entry {
  readonly message: string;
}

export interface OutboxState {
  readonly waiting: readonly Entry[];
  /** What this page has sent so far: what it was given at first does not hold it yet. */
  readonly sent: readonly Entry[];
  readonly refused: readonly Refused[];
  /** The last attempt did not get through. */
  readonly cutOff: boolean;
  /** Whether what an earlier page left behind has been read. */
  readonly ready: boolean;
}

interface Stored extends DBSchema {
  /** With a message: refused, and not yet seen to be. */
  entries: { key: string; value: Entry & { readonly message?: string } };
}

const SOONEST_MS = 1000;
const LATEST_MS = 30_000;

const nothing: OutboxState = { waiting: [], sent: [], refused: [], cutOff: false, ready: false };

let state = nothing;
const listeners = new Set<() => void>();
let database: Promise<IDBPDatabase<Stored>> | null = null;
let sending = false;
let patienceMs = SOONEST_MS;
let timer: ReturnType<typeof setTimeout> | undefined;

function change(next: Partial<OutboxState>): void {
  state = { ...state, ...next };
  for (const listener of listeners) listener();
}

/** The browser's own store; without one, what is kept lives as long as the page. */
async function stored<T>(work: (db: IDBPDatabase<Stored>) => Promise<T>): Promise<T | null> {
  try {
    database ??= openDB<Stored>("wary-petal", 1, {
      upgrade: (db) => void db.createObjectStore("entries", { keyPath: "id" }),
    });
    return await work(await database);
  } catch (error) {
    console.error(error);
    return null;
  }
}

export const outbox = {
  subscribe(listener: () => void): () => void {
    listeners.add(listener);
    if (listeners.size === 1) void start();
    return () => listeners.delete(listener);
  },
  current: () => state,
  /** Keeps a deed and sends it as soon as may be. */
  add(deed: Kept): void {
    const entry: Entry = { id: uuidv7(), deed };
    change({ waiting: [...state.waiting, entry] });
    void stored((db) => db.put("entries", entry)).then(send);
  },
  /** Forgets what the server would not take. */
  dismiss(id: string): void {
    change({ refused: state.refused.filter((one) => one.id !== id) });
    void stored((db) => db.delete("entries", id));
  },
};

export const nothingYet = () => nothing;

async function start(): Promise<void> {
  if (state.ready) return;
  addEventListener("online", () => void send());
  const left = (await stored((db) => db.getAll("entries"))) ?? [];
  const known = new Set(state.waiting.map((entry) => entry.id));
  const refused = left.flatMap(({ message, ...entry }) => (message === undefined ? [] : [{ ...entry, message }]));
  const unsent = left.filter((entry) => entry.message === undefined && !known.has(entry.id));
  const waiting = [...unsent, ...state.waiting].toSorted((a, b) => (a.id < b.id ? -1 : 1));
  change({ waiting, refused, ready: true });
  await send();
}

async function send(): Promise<void> {
  if (sending) return;
  sending = true;
  clearTimeout(timer);
  try {
    for (let entry = state.waiting[0]; entry; entry = state.waiting[0]) {
      const refusal = await sendOne(entry.deed);
      const { id } = entry;
      await stored<unknown>((db) =>
        refusal === null ? db.delete("entries", id) : db.put("entries", { ...entry, message: refusal }),
      );
      change({
        waiting: state.waiting.filter((one) => one.id !== id),
        sent: refusal === null ? [...state.sent, entry] : state.sent,
        refused: refusal === null ? state.refused : [...state.refused, { ...entry, message: refusal }],
        cutOff: false,
      });
      patienceMs = SOONEST_MS;
    }
  } catch {
    change({ cutOff: true });
    timer = setTimeout(() => void send(), patienceMs);
    patienceMs = Math.min(2 * patienceMs, LATEST_MS);
  } finally {
    sending = false;
  }
}

/** Sends one deed; gives the words of a refusal, or null when it is done. Throws when it did not get through. */
async function sendOne(deed: Kept): Promise<string | null> {
  const response =
    deed.kind === "photo"
      ? await fetch(`/looks/${deed.input.lookId}/photos/${deed.input.id}`, { method: "PUT", body: deed.input.photo })
      : await fetch("/walk/deeds", {
          method: "POST",
          headers: { "content-type": "application/json" },
          body: JSON.stringify(deed),
        });
  if (response.status >= 500) throw new Error(`the server answered ${response.status}`);
  if (!response.ok) return `The server refused it (${response.status}).`;
  const result = (await response.json()) as DeedResult;
  // What is to be taken back and is not there, or is struck out already, is taken back.
  if (result.ok || deed.kind === "void") return null;
  return result.problems.map((problem) => problem.message).join(" ");
}
