import { forgetPages } from "@/offline/keptPages";
import { COLLECTION_COOKIE, forget, remember } from "@/ui/shell/cookies";

/** Shows a collection from now on. The page is loaded anew: nothing of the one before is left on it. */
export function show(collectionId: string, path: string): void {
  remember(COLLECTION_COOKIE, collectionId);
  void forgetPages().finally(() => location.assign(path));
}

/** Shows no collection in particular any more. */
export function showNone(): void {
  forget(COLLECTION_COOKIE);
  location.reload();
}
