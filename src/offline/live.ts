/** By which a page says who it is when it sends a command: what it did itself is no news to it. */
export const PAGE_HEADER = "x-page";
/** By which a command says in which shape it was kept. */
export const SHAPE_HEADER = "x-shape";
/** By which a command says whose press it was: the id of an account, or nothing where nobody had one. */
export const WHO_HEADER = "x-who";
/** Where word of what others do comes from; and where it is asked for where no word comes through. */
export const CHANGES = "/changes";
const LATEST = "/changes/latest";

/** What a page is told: what was done last, and by which page, where that is known. */
export interface Told {
  readonly mark: string;
  readonly from?: string;
}

/** What was done last. Fails where no server answers, or none that knows. */
export async function askLatest(): Promise<Told> {
  const answer = await fetch(LATEST, { redirect: "error" });
  if (!answer.ok) throw new Error(`asked what is new: ${answer.status}`);
  return (await answer.json()) as Told;
}

/** Of this page, as long as it is open. */
export const thisPage = globalThis.crypto?.randomUUID?.() ?? String(Math.random());

/** Much that is done at once is shown at once, ms. */
const GATHER_MS = 400;

/**
 * Hears what others do and has the page read anew, once for all that comes together. `mark` is what was done last when the page
 * was read. The page is read anew only after `ask` got an answer: read without a connection, it would be loaded anew whole, and what
 * was pressed on it and is kept nowhere else would be gone. Without an answer the next word counts as news again.
 */
export function newsOf(mark: string, ask: () => Promise<unknown>, readAnew: () => void) {
  let known = mark;
  let gathering: ReturnType<typeof setTimeout> | undefined;
  let left = false;
  return {
    hear({ mark: latest, from }: Told): void {
      if (latest === known) return;
      known = latest;
      if (from === thisPage) return;
      clearTimeout(gathering);
      gathering = setTimeout(() => {
        ask().then(
          () => {
            if (!left) readAnew();
          },
          () => {
            if (known === latest) known = mark;
          },
        );
      }, GATHER_MS);
    },
    leave(): void {
      left = true;
      clearTimeout(gathering);
    },
  };
}
