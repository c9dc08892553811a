import type { SentLater } from "@/core/record/facts/sentLater";

/**
 * What was pressed on a walk, kept in this browser until the server has it. It is sent one after the other in the order in
 * which it was made; what rests on something that has not been sent waits for that. Sending twice is safe: commands carry ids.
 * See docs/decisions/an-outbox-of-its-own.md.
 */
export type Kept = SentLater | { readonly kind: "photo"; readonly input: { id: string; lookId: string } };

/** What the page says of a command beside the command itself. */
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
  /** Whose press it was, as {@link Person}; what was kept before anybody was asked who they are bears none. */
  readonly who?: string;
  /** Whether it has ever been on its way: then the server may have it, whatever was answered, and it is not forgotten. */
  readonly attempted?: boolean;
  /** The shape of its command; what was kept before shapes had numbers bears none. */
  readonly shape?: number;
  /** The command, under the name that it bears in what is kept on phones. */
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

/**
 * Why nothing goes out: no line, a server with trouble, somebody else answering (the sign-in page of a network), or another person
 * has come in in this browser since the page was opened.
 */
export type Trouble = "line" | "server" | "stranger" | "another";

/** Who is at a page: their account, empty while nobody has one; and whether they may record in the collection that is shown. */
export interface Person {
  readonly who: string;
  readonly records: boolean;
}
