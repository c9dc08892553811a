"use client";

import { useSyncExternalStore } from "react";
import { nothingYet, outbox, type OutboxState } from "./outbox";

/** What is still waiting to be sent; changes as it goes out. */
export function useOutbox(): OutboxState {
  return useSyncExternalStore(outbox.subscribe, outbox.current, nothingYet);
}
