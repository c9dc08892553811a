"use client";

import { useEffect, useEffectEvent } from "react";
import { isTyping } from "@/ui/shell/Keys";

/** Single keys of the screen; every one has a button too. A key without a deed does nothing. */
export function useWalkKeys(keys: Readonly<Record<string, (() => void) | undefined>>): void {
  const press = useEffectEvent((event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || isTyping(event.target)) return;
    keys[event.key]?.();
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => press(event);
    addEventListener("keydown", listen);
    return () => removeEventListener("keydown", listen);
  }, []);
}
