/** By which a page says who it is when it sends a deed: what it did itself is no news to it. */
export const PAGE_HEADER = "x-page";
/** By which a deed says in which shape it was kept. */
export const SHAPE_HEADER = "x-shape";
/** By which a deed says whose press it was: the id of an account, or nothing where nobody had one. */
export const WHO_HEADER = "x-who";
/** Where word of what others do comes from; and where it is asked for where no word comes through. */
export const CHANGES = "/changes";
export const LATEST = "/changes/latest";

/** What a page is told: what was done last, and by which page, where that is known. */
export interface Told {
  readonly mark: string;
  readonly from?: string;
}

/** Of this page, as long as it is open. */
export const thisPage = globalThis.crypto?.randomUUID?.() ?? String(Math.random());
