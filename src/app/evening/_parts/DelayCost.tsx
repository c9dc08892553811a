"use client";

import { useState } from "react";
import Button from "react-bootstrap/Button";
import type { Delay } from "@/operations/cases/queries/readDelay";
import { Only } from "@/ui/shell/Only";
import { percent } from "@/wording/advice/chances";

/** What it costs to leave a treatment for a day: reckoned when it is asked for. */
export function DelayCost({ caseId }: { caseId: string }) {
  const [delay, setDelay] = useState<Delay | "asking" | "failed" | null>(null);
  const ask = async () => {
    setDelay("asking");
    const answer = await fetch(`/cases/${caseId}/delay`, { redirect: "error" }).catch(() => null);
    setDelay(answer?.ok ? ((await answer.json()) as Delay) : "failed");
  };
  if (delay === "asking") return <span className="d-block small">Working it out …</span>;
  if (delay === "failed")
    return <span className="d-block small">It could not be worked out. Try again in a moment.</span>;
  if (delay !== null)
    return (
      <span className="d-block small">
        Chance of clean looks after its plan: {percent(delay.today)} if you treat tonight, {percent(delay.tomorrow)}{" "}
        tomorrow.
      </span>
    );
  return (
    <Only right="read">
      <Button size="sm" variant="link" className="d-block p-0" onClick={() => void ask()}>
        What does waiting a day cost?
      </Button>
    </Only>
  );
}
