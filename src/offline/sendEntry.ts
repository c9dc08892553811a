import type { CommandResult } from "./commandResult";
import type { Held, Trouble } from "./entries";
import { PAGE_HEADER, SHAPE_HEADER, thisPage, WHO_HEADER } from "./live";

/** What is not answered for so long is sent again: behind one that hung for ever everything else would wait. Sending twice is safe. ms */
const DEED_MS = 30_000;
const PHOTO_MS = 180_000;

/** What became of an entry that was sent. */
export type Answer =
  | { readonly is: "done" }
  | { readonly is: "refused"; readonly message: string }
  | { readonly is: "trouble"; readonly message: string }
  | { readonly is: "nobody"; readonly trouble: Trouble };

/** What an entry is sent with beside itself. */
export interface Beside {
  /** The collection it is for where it names none itself. */
  readonly collectionId: string;
  /** The picture of a photo; undefined where the browser has lost it. */
  readonly photoOf: (id: string) => Promise<Blob | undefined>;
}

/** Sends one entry and tells what became of it. Throws nothing. */
export async function sendEntry(entry: Held, beside: Beside): Promise<Answer> {
  let response: Response;
  try {
    response = await request(entry, beside);
  } catch (error) {
    // A fetch that fails, or is not answered, has reached nobody that could say so; anything else is a fault of this page's own.
    if (error instanceof TypeError || isTimeout(error)) return { is: "nobody", trouble: "line" };
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
    if (response.status === 403) return { is: "refused", message: "The server only accepts this from its own pages." };
    if (response.status === 413) return { is: "refused", message: "It is too large." };
    return { is: "nobody", trouble: response.status >= 500 ? "server" : "stranger" };
  }
  if (result.ok) return { is: "done" };
  if (result.another) return { is: "nobody", trouble: "another" };
  const message = result.problems.map((problem) => problem.message).join(" ");
  if (result.retry) return { is: "trouble", message };
  // What is to be taken back and is struck out already, or was refused before and never there, is taken back.
  if (entry.deed.kind === "void" && result.done) return { is: "done" };
  return { is: "refused", message };
}

const isTimeout = (error: unknown) => error instanceof Error && error.name === "TimeoutError";

function isResult(body: unknown): body is CommandResult {
  return typeof body === "object" && body !== null && "ok" in body && typeof body.ok === "boolean";
}

async function request(
  { id, who = "", shape = 1, deed, collectionId, byClock }: Held,
  beside: Beside,
): Promise<Response> {
  const collection = collectionId || beside.collectionId;
  // Read here and compared there: a clock that is wrong by so much was wrong by as much when it was pressed.
  const clock = byClock ? new Date().toISOString() : "";
  const headers = { "x-collection": collection, "x-clock": clock, [PAGE_HEADER]: thisPage, [WHO_HEADER]: who };
  if (deed.kind === "photo") {
    const photo = await beside.photoOf(id);
    if (!photo) throw new Error("the browser no longer has the picture");
    const signal = AbortSignal.timeout(PHOTO_MS);
    return fetch(`/looks/${deed.input.lookId}/photos/${deed.input.id}`, {
      method: "PUT",
      body: photo,
      headers,
      signal,
    });
  }
  const shaped = { ...headers, [SHAPE_HEADER]: String(shape), "content-type": "application/json" };
  const signal = AbortSignal.timeout(DEED_MS);
  return fetch("/walk/deeds", { method: "POST", headers: shaped, body: JSON.stringify(deed), signal });
}
