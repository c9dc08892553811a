"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { CommandResult } from "@/offline/commandResult";
import { useCollection } from "@/ui/shell/Collection";
import { notSent } from "./TableOutcome";

/** Sends a text to a route of its own, and holds what came of it. */
export function useUpload(path: string, type: "text/csv" | "application/json") {
  const { id: collectionId } = useCollection();
  const router = useRouter();
  const [going, setGoing] = useState(false);
  const [result, setResult] = useState<CommandResult | null>(null);
  const send = async (text: () => Promise<string>) => {
    setGoing(true);
    setResult(null);
    try {
      const headers = { "x-collection": collectionId, "content-type": type };
      const answer = await fetch(path, { method: "POST", body: await text(), headers });
      const came = (await answer.json()) as CommandResult;
      setResult(came);
      if (came.ok) router.refresh();
    } catch (error) {
      setResult(notSent(error));
    } finally {
      setGoing(false);
    }
  };
  return { going, result, send };
}
