"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { v7 as uuidv7 } from "uuid";
import { outbox } from "@/offline/outbox";
import { AfterFind } from "@/app/walk/_parts/AfterFind";
import { FindFlow } from "@/app/walk/_parts/FindFlow";
import { priorsFor } from "@/core/advice/diagnosis/priors";
import type { Naming, RecordLook } from "@/core/record/facts/kinds/look";
import type { ToolId } from "@/core/model/inspection/tools";
import type { SpotId } from "@/core/knowledge/plants/spots";
import { placesByRisk, placesOfRound } from "@/core/advice/walks/places";
import { SpotsPicker } from "@/ui/forms/SpotsPicker";
import { useCollection } from "@/ui/shell/Collection";
import { toggled } from "@/ui/toggled";
import type { Stop, WalkView } from "@/operations/walks/queries/readWalk";
import { toolNames } from "@/wording/names/names";
import { withOffset } from "@/zones";

/** Names what is on one plant and writes it down as a look, at places that can be changed. */
export function NameIt({
  stop,
  places,
  tool,
}: {
  stop: Pick<
    Stop,
    "id" | "code" | "growthForm" | "apart" | "placeId" | "circumstances" | "sensitivities" | "openCases"
  >;
  places: WalkView["places"];
  /** What it was looked at with. */
  tool: ToolId;
}) {
  const router = useRouter();
  const { id: collectionId, timeZone } = useCollection();
  const label = { collectionId, about: stop.code, byClock: true };
  const at = () => withOffset(new Date(), timeZone);
  const [found, setFound] = useState<{ lookId: string; finds: RecordLook["finds"] } | null>(null);
  const priors = priorsFor(stop.circumstances);
  const order = placesByRisk(stop.growthForm, priors);
  const [looked, setLooked] = useState<readonly SpotId[]>(() => placesOfRound(stop.growthForm, priors, "likely"));
  const toPlant = () => router.push(`/plants/${stop.id}`);
  const [problem, setProblem] = useState("");
  const save = (finds: RecordLook["finds"], naming: Naming) => {
    const id = uuidv7();
    const where = finds.flatMap((find) => find.spots ?? []);
    const spots = [...new Set([...looked, ...where])];
    if (spots.length === 0) return setProblem("First press the places you looked at.");
    const look = { id, plantId: stop.id, at: at(), tool, spots, note: "", finds, naming };
    outbox.add({ kind: "look", input: look }, label);
    if (finds.length > 0) setFound({ lookId: id, finds });
    else toPlant();
  };
  return (
    <>
      {found ? (
        <AfterFind
          {...found}
          stop={stop}
          places={places}
          onApart={(placeId) =>
            outbox.add(
              { kind: "apart", input: { id: uuidv7(), plantId: stop.id, placeId, bagId: uuidv7(), at: at() } },
              label,
            )
          }
          doneLabel="To the plant"
          onDone={toPlant}
        />
      ) : (
        <>
          <details className="mb-2">
            <summary>
              This counts as a look ({toolNames[tool].toLowerCase()}) at {looked.length} of {order.length} places.
              Change the places
            </summary>
            <SpotsPicker
              form={stop.growthForm}
              order={order}
              ticked={looked}
              onPress={(spot) => setLooked((all) => toggled(all, spot))}
            />
          </details>
          {problem && (
            <p className="text-danger-emphasis fw-semibold" role="alert">
              {problem}
            </p>
          )}
          <FindFlow
            stop={stop}
            onBack={toPlant}
            onNothing={(naming) => save([], naming)}
            onFound={(finds, naming) => save(finds, naming)}
          />
        </>
      )}
    </>
  );
}
