"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { CommandResult } from "@/offline/commandResult";
import { useCollection } from "@/ui/shell/Collection";

/** A command that is one press: it goes to the server, what went wrong is told, and the page is drawn anew when it is done. */
export function usePress<Input>(action: (collectionId: string, input: unknown) => Promise<CommandResult>) {
  const { id: collectionId } = useCollection();
  const router = useRouter();
  const [trouble, setTrouble] = useState("");
  const [going, setGoing] = useState(false);
  /** Does it; null where it could not be done. */
  const press = async (input: Input): Promise<Record<string, unknown> | null> => {
    setTrouble("");
    setGoing(true);
    const result = await action(collectionId, input).catch(() => null);
    setGoing(false);
    if (!result?.ok) {
      setTrouble(result?.problems.map(({ message }) => message).join(" ") ?? "It could not be sent: try again.");
      return null;
    }
    router.refresh();
    return result.value;
  };
  return { press, trouble, going };
}
