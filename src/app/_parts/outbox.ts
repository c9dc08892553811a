"use client";

import { openDB, type DBSchema, type IDBPDatabase } from "idb";
import { v7 as uuidv7 } from "uuid";
import { SHAPE, type SentLater } from "@/core/facts/sentLater";
import type { DeedResult } from "@/ui/fields/deedResult";
import { PAGE_HEADER, SHAPE_HEADER, thisPage } from "./live";

/**
 * What was pressed on a walk, kept in this browser until the server has it. It is sent one after the other in the order in
 * which it was made; what rests on something that has not been sent waits for that. Sending twice is safe: deeds carry ids.
 * See docs/decisions/an-outbox-of-its-own.md.
 */
export type Kept = SentLater | { readonly kind: "photo"; readonly input: { id: string; lookId: string } };

/** What the page says of a deed beside the deed itself. */
export interface Label {
  /** The collection it belongs to, whichever is shown when it is sent. */
  readonly collectionId: string;
  /** What it is about, in words: "L04 Lemon". */
  readonly about: string;
  /** Whether its moment was read from this device's clock, and not told by the keeper. */
  readonly byClock: boolean;
}

export interface Entry extends Label {
  /** Ids are in the order in which entries were made. */
  readonly id: string;
  /** The shape of its deed; what was kept before shapes had numbers bears none. */
  readonly shape?: number;
  readonly deed: Kept;
}

/**
 * `waiting` goes out as soon as may be. `refused`: the server would not take it, and the keeper mends or drops it. `stuck`: the
 * server has trouble of its own with it time and again; it is tried now and then, and the others pass.
 */
export type EntryState = "waiting" | "refused" | "stuck";

export interface Held extends Entry {
  readonly state: EntryState;
  /** Why it was refused or is stuck; empty for what is waiting. */
  readonly message: string;
}

/** Why nothing goes out: no line, a server with trouble, somebody else answering (the sign-in page of a network), no store here. */
export type Trouble = "line" | "server" | "stranger";

export interface OutboxState {
  readonly held: readonly Held[];
  /** What this page has sent so far: what it was given at first does not hold it yet. */
  readonly sent: readonly Entry[];
  readonly trouble: Trouble | null;
  /** The browser keeps nothing: what is held lives as long as the page. */
  readonly unkept: boolean;
  /** Whether what an earlier page left behind has been read. */
  readonly ready: boolean;
}

interface Stored extends DBSchema {
  entries: { key: string; value: Held & { tries?: number } };
  /** Pictures are kept apart and read only when they are sent. */
  photos: { key: string; value: { id: string; photo: Blob } };
}

const SOONEST_MS = 1000;
const LATEST_MS = 30_000;
/** So many times the server may have trouble of its own with an entry before the others pass it. */
const TRIES = 4;
const STUCK_AGAIN_MS = 60_000;

const nothing: OutboxState = { held: [], sent: [], trouble: null, unkept: false, ready: false };

let state = nothing;
const listeners = new Set<() => void>();
const tries = new Map<string, number>();
/** Pictures that the browser would not keep. */
const loosePhotos = new Map<string, Blob>();
let database: Promise<IDBPDatabase<Stored>> | null = null;
let sending = false;
let patienceMs = SOONEST_MS;
let timer: ReturnType<typeof setTimeout> | undefined;
let here: { readonly id: string } | null = null;

function change(next: Partial<OutboxState>): void {
  state = { ...state, ...next };
  for (const listener of listeners) listener();
}

/** What an earlier version of this page has left: entries without the collection, photos within them. */
interface Older {
  readonly id: string;
  readonly deed: SentLater | { readonly kind: "photo"; readonly input: { id: string; lookId: string; photo?: Blob } };
  readonly message?: string;
}

function open(): Promise<IDBPDatabase<Stored>> {
  return openDB<Stored>("wary-petal", 2, {
    async upgrade(db, from, _to, transaction) {
      if (from < 1) db.createObjectStore("entries", { keyPath: "id" });
      db.createObjectStore("photos", { keyPath: "id" });
      if (from !== 1) return;
      const entries = transaction.objectStore("entries");
      for (const older of (await entries.getAll()) as unknown as Older[]) {
        const { id, deed, message = "" } = older;
        if (deed.kind === "photo" && deed.input.photo) {
          await transaction.objectStore("photos").put({ id, photo: deed.input.photo });
          delete deed.input.photo;
        }
        const label = { collectionId: "", about: "", byClock: false };
        const held = message === "" ? "waiting" : "refused";
        await entries.put({ id, deed: deed as Kept, ...label, state: held, message });
      }
    },
  });
}

/** The browser's own store; without one, what is kept lives as long as the page, and the page says so. */
async function stored<T>(work: (db: IDBPDatabase<Stored>) => Promise<T>): Promise<T | null> {
  try {
    database ??= open();
    return await work(await database);
  } catch (error) {
    console.error(error);
    database = null;
    if (!state.unkept) change({ unkept: true });
    return null;
  }
}

function put(entry: Held): Promise<unknown> {
  return stored((db) => db.put("entries", entry));
}

async function forget(id: string): Promise<void> {
  change({ held: state.held.filter((one) => one.id !== id) });
  tries.delete(id);
  loosePhotos.delete(id);
  await stored(async (db) => {
    const both = db.transaction(["entries", "photos"], "readwrite");
    await Promise.all([both.objectStore("entries").delete(id), both.objectStore("photos").delete(id), both.done]);
  });
}

async function hold(entry: Held): Promise<void> {
  change({ held: state.held.map((one) => (one.id === entry.id ? entry : one)) });
  await put(entry);
}

export const outbox = {
  subscribe(listener: () => void): () => void {
    listeners.add(listener);
    if (listeners.size === 1) void start();
    return () => listeners.delete(listener);
  },
  current: () => state,
  /** Tells which collection is shown, for what an earlier version kept without one. */
  at(collection: { readonly id: string }): void {
    here = collection;
  },
  /** Keeps a deed and sends it as soon as may be. */
  add(deed: SentLater, label: Label): void {
    if (deed.kind === "void" && takeBackUnsent(deed.input.factId)) return;
    const entry: Held = { id: uuidv7(), shape: SHAPE, deed, ...label, state: "waiting", message: "" };
    change({ held: [...state.held, entry] });
    void put(entry).then(send);
  },
  /** Keeps a photo and sends it as soon as may be. */
  addPhoto(input: { id: string; lookId: string }, photo: Blob, label: Label): void {
    const entry: Held = { id: uuidv7(), deed: { kind: "photo", input }, ...label, state: "waiting", message: "" };
    change({ held: [...state.held, entry] });
    void stored((db) => db.put("photos", { id: entry.id, photo })).then(async (kept) => {
      if (kept === null) loosePhotos.set(entry.id, photo);
      await put(entry);
      await send();
    });
  },
  /** Tries again what was refused or is stuck. */
  again(id: string): void {
    const entry = state.held.find((one) => one.id === id);
    if (!entry) return;
    tries.delete(id);
    void hold({ ...entry, state: "waiting", message: "" }).then(send);
  },
  /** Drops what is kept: the keeper has seen it and does not want it any more, or has mended it elsewhere. */
  drop(id: string): void {
    void forget(id);
  },
};

export const nothingYet = () => nothing;

/** What has not been sent, and is not on its way just now, is taken back by forgetting it, with what rests on it. */
function takeBackUnsent(factId: string): boolean {
  const entry = state.held.find(({ id, deed }) => "id" in deed.input && deed.input.id === factId && id !== onItsWay);
  if (!entry) return false;
  for (const one of state.held) if (restsOn(one.deed) === factId) void forget(one.id);
  void forget(entry.id);
  return true;
}

/** The fact that must have been sent before this deed can be. */
function restsOn(deed: Kept): string | null {
  if (deed.kind === "photo") return deed.input.lookId;
  if (deed.kind === "timerEnd") return deed.input.timerId;
  return deed.kind === "void" ? deed.input.factId : null;
}

async function start(): Promise<void> {
  if (state.ready) return;
  addEventListener("online", () => void send());
  const left = (await stored((db) => db.getAll("entries"))) ?? [];
  const known = new Set(state.held.map((entry) => entry.id));
  const held = [...left.filter((entry) => !known.has(entry.id)), ...state.held].toSorted((a, b) =>
    a.id < b.id ? -1 : 1,
  );
  change({ held, ready: true });
  await send();
}

let onItsWay: string | null = null;
/** Whether anything has got through since the last entry was found to be stuck. */
let passed = true;

/** The next entry to send: the first that waits, and rests on nothing that has not been sent. */
function next(): Held | undefined {
  const unsent = new Set(state.held.flatMap(({ deed }) => ("id" in deed.input ? [deed.input.id] : [])));
  return state.held.find(({ state: is, deed }) => is === "waiting" && !unsent.has(restsOn(deed) ?? ""));
}

async function send(): Promise<void> {
  if (sending) return;
  sending = true;
  clearTimeout(timer);
  try {
    for (let entry = next(); entry; entry = next()) {
      onItsWay = entry.id;
      const answer = await sendOne(entry);
      onItsWay = null;
      if (answer.is === "nobody") {
        change({ trouble: answer.trouble });
        return later(patienceMs);
      }
      if (answer.is === "done") {
        const { state: _s, message: _m, ...sent } = entry;
        change({ sent: [...state.sent, sent] });
        await forget(entry.id);
      } else if (answer.is === "refused") await hold({ ...entry, state: "refused", message: answer.message });
      else {
        // Where the next one has trouble too, the trouble is the server's and not the entry's: everything waits.
        const so = (tries.get(entry.id) ?? 0) + Number(passed);
        tries.set(entry.id, so);
        if (so < TRIES) {
          change({ trouble: "server" });
          return later(patienceMs);
        }
        passed = false;
        await hold({ ...entry, state: "stuck", message: answer.message });
        continue;
      }
      passed = true;
      patienceMs = SOONEST_MS;
      change({ trouble: null });
    }
    if (state.held.some((one) => one.state === "stuck")) timer = setTimeout(tryStuck, STUCK_AGAIN_MS);
  } finally {
    onItsWay = null;
    sending = false;
  }
}

function later(ms: number): void {
  timer = setTimeout(() => void send(), ms);
  patienceMs = Math.min(2 * patienceMs, LATEST_MS);
}

/** What is stuck has one try now and then. */
function tryStuck(): void {
  for (const one of state.held) {
    if (one.state !== "stuck") continue;
    tries.set(one.id, TRIES - 1);
    change({ held: state.held.map((held) => (held.id === one.id ? { ...one, state: "waiting" } : held)) });
  }
  void send();
}

type Answer =
  | { readonly is: "done" }
  | { readonly is: "refused"; readonly message: string }
  | { readonly is: "trouble"; readonly message: string }
  | { readonly is: "nobody"; readonly trouble: Trouble };

/** Sends one entry and tells what became of it. */
async function sendOne(entry: Held): Promise<Answer> {
  let response: Response;
  try {
    response = await request(entry);
  } catch (error) {
    // A fetch that fails has not reached anybody; anything else is a fault of this page's own.
    if (error instanceof TypeError) return { is: "nobody", trouble: "line" };
    return {
      is: "refused",
      message: `It could not be sent: ${error instanceof Error ? error.message : String(error)}`,
    };
  }
  const result = await response
    .clone()
    .json()
    .then((body: unknown) => (isResult(body) ? body : null))
    .catch(() => null);
  // What is no answer of this application's comes from somebody between: the sign-in page of a network, say.
  if (!result) {
    if (response.status === 403) return { is: "refused", message: "The server takes this from its own pages only." };
    if (response.status === 413) return { is: "refused", message: "It is too large." };
    return { is: "nobody", trouble: response.status >= 500 ? "server" : "stranger" };
  }
  if (result.ok) return { is: "done" };
  const message = result.problems.map((problem) => problem.message).join(" ");
  if (result.retry) return { is: "trouble", message };
  // What is to be taken back and is struck out already is taken back.
  if (entry.deed.kind === "void" && result.done) return { is: "done" };
  return { is: "refused", message };
}

function isResult(body: unknown): body is DeedResult {
  return typeof body === "object" && body !== null && "ok" in body && typeof body.ok === "boolean";
}

async function request({ id, shape = 1, deed, collectionId, byClock }: Held): Promise<Response> {
  const collection = collectionId || (here?.id ?? "");
  // Read here and compared there: a clock that is wrong by so much was wrong by as much when it was pressed.
  const clock = byClock ? new Date().toISOString() : "";
  const headers = { "x-collection": collection, "x-clock": clock, [PAGE_HEADER]: thisPage };
  if (deed.kind === "photo") {
    const photo = loosePhotos.get(id) ?? (await stored((db) => db.get("photos", id)))?.photo;
    if (!photo) throw new Error("the browser has lost the picture");
    return fetch(`/looks/${deed.input.lookId}/photos/${deed.input.id}`, { method: "PUT", body: photo, headers });
  }
  const shaped = { ...headers, [SHAPE_HEADER]: String(shape), "content-type": "application/json" };
  return fetch("/walk/deeds", { method: "POST", headers: shaped, body: JSON.stringify(deed) });
}
