"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import { v7 as uuidv7 } from "uuid";
import { recordLookAction } from "@/app/_parts/actions";
import { FindFlow } from "@/app/walk/[id]/_parts/FindFlow";
import type { Naming, RecordLook } from "@/core/facts/deeds";
import { priorsFor } from "@/core/diagnosis/priors";
import { placesOfRound } from "@/core/walk/places";
import type { Stop, WalkView } from "@/operations/readWalk";

/** Names what is on one plant and writes it down as a look with the lamp at the likeliest places and wherever they sit. */
export function NameIt({
  stop,
  view,
  nowLocal,
}: {
  stop: Pick<Stop, "id" | "code" | "name" | "growthForm" | "placeId" | "nearby">;
  view: Pick<WalkView, "season" | "places">;
  nowLocal: string;
}) {
  const router = useRouter();
  const [trouble, setTrouble] = useState("");
  const [id] = useState(() => uuidv7());
  const save = async (finds: RecordLook["finds"], naming: Naming) => {
    const priors = priorsFor({
      form: stop.growthForm,
      meanC: view.places[0]!.meanC,
      season: view.season,
      nearby: stop.nearby,
    });
    const where = finds.flatMap((find) => find.spots ?? []);
    const spots = [...new Set([...placesOfRound(stop.growthForm, priors, "likely"), ...where])];
    const look = { id, plantId: stop.id, at: nowLocal, tool: "lamp", spots, note: "", finds, naming };
    try {
      const result = await recordLookAction(look);
      if (!result.ok) return setTrouble(result.problems.map((problem) => problem.message).join(" "));
      const [caseId] = result.value["caseIds"] as string[];
      router.push(caseId ? `/cases/${caseId}` : `/plants/${stop.id}`);
    } catch {
      setTrouble("It could not be sent. What you pressed is still here: check the connection and press again.");
    }
  };
  return (
    <>
      {trouble && (
        <Alert variant="danger" role="alert">
          {trouble}
        </Alert>
      )}
      <FindFlow
        stop={stop}
        view={view}
        onBack={() => router.push(`/plants/${stop.id}`)}
        onNothing={(naming) => void save([], naming)}
        onFound={(finds, naming) => void save(finds, naming)}
      />
    </>
  );
}
