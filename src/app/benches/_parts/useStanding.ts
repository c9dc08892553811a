import { useCallback, useEffect, useState } from "react";
import { STANDING_PART } from "@/offline/keptPages";
import { isCut, type PackedRow, type Standing } from "./shelves";

const NONE: Standing = {};

/**
 * What stands on the shelves that came without their plants, fetched after the page. While a page that was read anew waits for
 * it, what came before stands in; it is complete when what belongs to this page has come.
 */
export function useStanding(packed: readonly PackedRow[]) {
  const [came, setCame] = useState<{ of: readonly PackedRow[]; standing: Standing } | null>(null);
  const [failedFor, setFailedFor] = useState<readonly PackedRow[] | null>(null);
  const [tries, setTries] = useState(0);
  const cut = isCut(packed);
  useEffect(() => {
    if (!cut) return;
    const gone = new AbortController();
    fetch(STANDING_PART, { signal: gone.signal, redirect: "error" })
      .then(async (answer) => {
        if (!answer.ok) throw new Error(`answered ${answer.status}`);
        setCame({ of: packed, standing: (await answer.json()) as Standing });
        setFailedFor(null);
      })
      .catch(() => {
        if (!gone.signal.aborted) setFailedFor(packed);
      });
    return () => gone.abort();
  }, [packed, cut, tries]);
  const again = useCallback(() => setTries((before) => before + 1), []);
  return {
    standing: cut && came ? came.standing : NONE,
    complete: !cut || came?.of === packed,
    failed: cut && failedFor === packed,
    again,
  };
}
