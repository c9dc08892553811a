"use client";

import type { IDBPDatabase } from "idb";
import { v7 as uuidv7 } from "uuid";
import { assertNever } from "@/core/shared/assertNever";
import type { FactKindId } from "@/core/record/facts/facts";
import { SHAPE } from "@/core/record/facts/keptShape";
import type { SentLater } from "@/core/record/facts/sentLater";
import type { Entry, Held, Kept, Label, Person, Trouble } from "./entries";
import { openEntryStore, type EntryStore } from "./entryStore";
import { sendEntry } from "./sendEntry";

/** What the page knows of what waits. See docs/decisions/an-outbox-of-its-own.md. */
export interface OutboxState {
  /** What waits of whoever is at this page; what others have pressed in this browser waits for them, and is not shown. */
  readonly held: readonly Held[];
  /** What this page has sent so far: what it was given at first does not hold it yet. */
  readonly sent: readonly Entry[];
  readonly trouble: Trouble | null;
  /** The browser keeps nothing: what is held lives as long as the page. */
  readonly unkept: boolean;
  /** Whether what an earlier page left behind has been read, and it is known whose of it to show: before, what is done may seem open. */
  readonly ready: boolean;
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
/** Entries, and pictures, that the browser would not keep. */
const loose = new Set<string>();
const loosePhotos = new Map<string, Blob>();
let database: Promise<IDBPDatabase<EntryStore>> | null = null;
let sending = false;
let patienceMs = SOONEST_MS;
let timer: ReturnType<typeof setTimeout> | undefined;
/** Whether what an earlier page left behind has been read. */
let loaded = false;
let here: { readonly id: string } | null = null;
/** Null until the page has said who is at it: nothing is sent before. */
let person: Person | null = null;
/** Everything that waits in this browser, whoever pressed it. */
let all: readonly Held[] = [];

/** What was pressed while nobody had an account is sent by those who record anyhow, and not by whoever only tends. */
function isMine({ who = "" }: Held): boolean {
  return person !== null && (who === person.who || (who === "" && person.records));
}

function change(next: Partial<Omit<OutboxState, "held">>): void {
  state = { ...state, ...next };
  for (const listener of listeners) listener();
}

function holdAll(entries: readonly Held[], next: Partial<Omit<OutboxState, "held">> = {}): void {
  all = entries;
  state = { ...state, held: all.filter(isMine) };
  change(next);
}

/** The browser's own store; without one, what is kept lives as long as the page, and the page says so. */
async function stored<T>(work: (db: IDBPDatabase<EntryStore>) => Promise<T>): Promise<T | null> {
  try {
    database ??= openEntryStore();
    return await work(await database);
  } catch (error) {
    console.error(error);
    database = null;
    if (!state.unkept) change({ unkept: true });
    return null;
  }
}

async function put(entry: Held): Promise<void> {
  const kept = await stored((db) => db.put("entries", entry));
  if (kept === null) loose.add(entry.id);
}

async function forget(id: string): Promise<void> {
  holdAll(all.filter((one) => one.id !== id));
  tries.delete(id);
  loose.delete(id);
  loosePhotos.delete(id);
  await stored(async (db) => {
    const both = db.transaction(["entries", "photos"], "readwrite");
    await Promise.all([both.objectStore("entries").delete(id), both.objectStore("photos").delete(id), both.done]);
  });
}

/**
 * Writes down that an entry goes on its way, before it does: whatever becomes of this page, nobody takes it for one that was never
 * sent. False where another tab has forgotten it meanwhile.
 */
async function setOut(entry: Held): Promise<boolean> {
  holdAll(all.map((one) => (one.id === entry.id ? { ...one, attempted: true } : one)));
  const there = await stored(async (db) => {
    const writing = db.transaction("entries", "readwrite");
    const known = await writing.store.get(entry.id);
    if (known) await writing.store.put({ ...known, attempted: true });
    await writing.done;
    return known !== undefined;
  });
  if (there !== false || loose.has(entry.id)) return true;
  holdAll(all.filter((one) => one.id !== entry.id));
  return false;
}

/** Forgets an entry that has never been on its way; false where another tab has sent it out meanwhile: then it stays. */
async function forgetUnsent(entry: Held): Promise<boolean> {
  const free = await stored(async (db) => {
    const both = db.transaction(["entries", "photos"], "readwrite");
    const known = await both.objectStore("entries").get(entry.id);
    const unsent = !known?.attempted;
    if (unsent)
      await Promise.all([both.objectStore("entries").delete(entry.id), both.objectStore("photos").delete(entry.id)]);
    await both.done;
    return unsent;
  });
  return free !== false;
}

/** The picture of a photo that waits; undefined where the browser has lost it. */
async function photoOf(id: string): Promise<Blob | undefined> {
  return loosePhotos.get(id) ?? (await stored((db) => db.get("photos", id)))?.photo;
}

async function hold(entry: Held): Promise<void> {
  holdAll(all.map((one) => (one.id === entry.id ? entry : one)));
  await put(entry);
}

export const outbox = {
  subscribe(listener: () => void): () => void {
    listeners.add(listener);
    if (listeners.size === 1) void start();
    return () => listeners.delete(listener);
  },
  current: () => state,
  /** Tells who is at the page, and which collection is shown, for what an earlier version kept without one. */
  at(collection: { readonly id: string }, at: Person): void {
    here = collection;
    if (person?.who === at.who && person.records === at.records) return;
    person = at;
    holdAll(all, { ready: loaded });
    void send();
  },
  /** Keeps a command and sends it as soon as may be. */
  add(deed: SentLater, label: Label): void {
    const entry: Held = { ...made(label), shape: SHAPE, deed };
    const keep = () => {
      holdAll([...all, entry]);
      void put(entry).then(send);
    };
    const unsent = deed.kind === "void" ? takeBackUnsent(deed.input.factId) : null;
    if (!unsent) return keep();
    void unsent.then((gone) => gone || keep());
  },
  /** Keeps a photo and sends it as soon as may be. */
  addPhoto(input: { id: string; lookId: string }, photo: Blob, label: Label): void {
    const entry: Held = { ...made(label), deed: { kind: "photo", input } };
    holdAll([...all, entry]);
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
  /**
   * Drops what is kept: the keeper has seen it and does not want it any more, or has mended it elsewhere. What the server refused is
   * not there; what it had trouble with may be, and is struck out behind it.
   */
  drop(id: string): void {
    const entry = state.held.find((one) => one.id === id);
    const fact = entry?.state === "stuck" && entry.attempted ? factOf(entry.deed) : null;
    if (!entry || !fact) return void forget(id);
    outbox.add({ kind: "void", input: { ...fact, reason: "Discarded before it was known to be saved." } }, entry);
  },
};

function made({ collectionId, about, byClock }: Label): Omit<Held, "deed"> {
  const who = person?.who ?? "";
  return { id: uuidv7(), who, collectionId, about, byClock, state: "waiting", message: "" };
}

/** The fact that a command writes down, as it is struck out; null for one that writes none. */
function factOf(deed: Kept): { readonly kind: FactKindId; readonly factId: string } | null {
  switch (deed.kind) {
    case "look":
    case "skip":
    case "act":
    case "photo":
      return { kind: deed.kind, factId: deed.input.id };
    case "apart":
      return { kind: "placement", factId: deed.input.id };
    case "cleaned":
      return { kind: "cleaning", factId: deed.input.id };
    case "void":
    case "end":
    case "timer":
    case "timerEnd":
      return null;
    default:
      return assertNever(deed);
  }
}

export const nothingYet = () => nothing;

/**
 * What has never been on its way is taken back by forgetting it, with what rests on it. What has been may have arrived although no
 * answer came: that stays, and what takes it back goes behind it; what rests on it and has not been on its way is not wanted any more.
 */
function takeBackUnsent(factId: string): Promise<boolean> | null {
  const entry = all.find(({ deed }) => "id" in deed.input && deed.input.id === factId);
  if (!entry) return null;
  const forgets = ({ attempted, state: is }: Held) => !attempted || is === "refused";
  for (const one of all) if (restsOn(one.deed) === factId && forgets(one)) void forget(one.id);
  if (!forgets(entry)) return null;
  if (entry.state === "refused") return forget(entry.id).then(() => true);
  holdAll(all.filter((one) => one.id !== entry.id));
  return forgetUnsent(entry);
}

/** The fact that must have been sent before this command can be. */
function restsOn(deed: Kept): string | null {
  if (deed.kind === "photo") return deed.input.lookId;
  if (deed.kind === "timerEnd") return deed.input.timerId;
  return deed.kind === "void" ? deed.input.factId : null;
}

async function start(): Promise<void> {
  if (loaded) return;
  addEventListener("online", () => void send());
  const left = (await stored((db) => db.getAll("entries"))) ?? [];
  const known = new Set(all.map((entry) => entry.id));
  const held = [...left.filter((entry) => !known.has(entry.id)), ...all].toSorted((a, b) => (a.id < b.id ? -1 : 1));
  loaded = true;
  holdAll(held, { ready: person !== null });
  await send();
}

/** Whether anything has got through since the last entry was found to be stuck. */
let passed = true;

/** The next entry to send: the first that waits, and rests on nothing that has not been sent. */
function next(): Held | undefined {
  const unsent = new Set(state.held.flatMap(({ deed }) => ("id" in deed.input ? [deed.input.id] : [])));
  return state.held.find(({ state: is, deed }) => is === "waiting" && !unsent.has(restsOn(deed) ?? ""));
}

async function send(): Promise<void> {
  if (sending || person === null || !state.ready) return;
  sending = true;
  clearTimeout(timer);
  try {
    for (let waiting = next(); waiting; waiting = next()) {
      const entry = { ...waiting, attempted: true };
      if (!waiting.attempted && !(await setOut(waiting))) continue;
      // It may have been taken back meanwhile: then what does that stands behind it.
      const answer = await sendEntry(entry, { collectionId: here?.id ?? "", photoOf });
      if (answer.is === "nobody") {
        change({ trouble: answer.trouble });
        return later(patienceMs);
      }
      if (answer.is === "done") {
        const { state: _s, message: _m, ...sent } = entry;
        change({ sent: [...state.sent, sent] });
        await forget(entry.id);
      } else if (answer.is === "refused") await refuse(entry, answer.message);
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
    sending = false;
  }
}

/** What was refused is shown, and stays until the keeper has mended or dropped it; what was taken back meanwhile is not. */
async function refuse(entry: Held, message: string): Promise<void> {
  const fact = "id" in entry.deed.input ? entry.deed.input.id : null;
  const back = fact === null ? [] : all.filter(({ deed }) => deed.kind === "void" && deed.input.factId === fact);
  if (back.length === 0) return hold({ ...entry, state: "refused", message });
  for (const one of all) if (restsOn(one.deed) === fact) await forget(one.id);
  await forget(entry.id);
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
    holdAll(all.map((held) => (held.id === one.id ? { ...one, state: "waiting" } : held)));
  }
  void send();
}
