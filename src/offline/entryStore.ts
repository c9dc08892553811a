import { openDB, type DBSchema, type IDBPDatabase } from "idb";
import type { SentLater } from "@/core/record/facts/sentLater";
import type { Held, Kept } from "./entries";

export interface EntryStore extends DBSchema {
  entries: { key: string; value: Held & { tries?: number } };
  /** Pictures are kept apart and read only when they are sent. */
  photos: { key: string; value: { id: string; photo: Blob } };
}

/** What an earlier version of this page has left: entries without the collection, photos within them. */
interface Older {
  readonly id: string;
  readonly deed: SentLater | { readonly kind: "photo"; readonly input: { id: string; lookId: string; photo?: Blob } };
  readonly message?: string;
}

/** Opens the browser's own store, brought to its newest shape. */
export function openEntryStore(): Promise<IDBPDatabase<EntryStore>> {
  return openDB<EntryStore>("wary-petal", 2, {
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
