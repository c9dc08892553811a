"use client";

import dynamic from "next/dynamic";
import { useEffect, useState } from "react";
import { dayNumber } from "@/core/shared/days";
import type { Carried } from "@/operations/plants/queries/readCarried";
import { percent } from "@/wording/advice/chances";
import { dayInWords } from "@/wording/dates";
import { toolNames } from "@/wording/names/names";

const CarriedChart = dynamic(async () => (await import("@/ui/charts/CarriedChart")).CarriedChart, { ssr: false });

/** How it rose and fell, asked for once the page stands: reckoning the past takes a moment. */
export function CarriedPicture({ plantId, limit }: { plantId: string; limit: number }) {
  const [carried, setCarried] = useState<Carried | "none" | null>(null);
  useEffect(() => {
    const stop = new AbortController();
    fetch(`/plants/${plantId}/carried`, { signal: stop.signal })
      .then(async (response) => setCarried(response.ok ? ((await response.json()) as Carried) : "none"))
      .catch(() => !stop.signal.aborted && setCarried("none"));
    return () => stop.abort();
  }, [plantId]);
  if (carried === "none") return <p className="small">The history cannot be shown at the moment.</p>;
  if (!carried)
    return (
      <p className="small carried-wait" aria-live="polite">
        Drawing the history …
      </p>
    );
  const looks = carried.looks.toReversed();
  return (
    <>
      <CarriedChart points={carried.points} looks={carried.looks.map(({ day }) => dayNumber(day))} limit={limit} />
      <details className="mb-2">
        <summary>Which looks lowered it</summary>
        {looks.length === 0 && <p className="mb-0">No looks in these three months.</p>}
        <ul className="mb-0 ps-3">
          {looks.map(({ day, tool, before, after, found }) => (
            <li key={`${day} ${before}`}>
              {dayInWords(day)}, {toolNames[tool].toLowerCase()}: {percent(before)} before, {percent(after)} after
              {found && "; the find has its own case"}
            </li>
          ))}
        </ul>
      </details>
    </>
  );
}
