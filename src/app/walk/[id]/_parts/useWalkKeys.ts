"use client";

import { useHotkeys } from "react-hotkeys-hook";

/** Single keys of the screen; every one has a button too. A key without a command does nothing, and one held down acts once. */
export function useWalkKeys(keys: Readonly<Record<string, (() => void) | undefined>>): void {
  useHotkeys(Object.keys(keys), (event) => !event.repeat && keys[event.key]?.(), { useKey: true });
}
