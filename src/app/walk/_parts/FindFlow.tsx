"use client";

import { useState } from "react";
import Button from "react-bootstrap/Button";
import { v7 as uuidv7 } from "uuid";
import type { Naming as NamingOnRecord, RecordLook } from "@/core/record/facts/kinds/look";
import type { PestId } from "@/core/knowledge/pests/pests";
import type { Stop } from "@/operations/walks/queries/readWalk";
import { FindDetails, type FindSeen } from "@/ui/naming/FindDetails";
import { Naming } from "@/ui/naming/Naming";
import { pestNames } from "@/wording/names/names";
import { ScreenHeading } from "./ScreenHeading";
import { TakeCare } from "./TakeCare";

type Finds = RecordLook["finds"];

/** From "found something" to a find: which pest, how many, where, which stages. Nothing needs typing. */
export function FindFlow({
  stop,
  onBack,
  onNothing,
  onFound,
}: {
  stop: Pick<Stop, "code" | "growthForm" | "circumstances" | "sensitivities">;
  onBack: () => void;
  /** Signs were looked at, and it is no pest. */
  onNothing: (naming: NamingOnRecord) => void;
  onFound: (finds: Finds, naming: NamingOnRecord) => void;
}) {
  const [naming, setNaming] = useState<NamingOnRecord | null>(null);
  const [toTell, setToTell] = useState<readonly PestId[]>([]);
  const [told, setTold] = useState<readonly FindSeen[]>([]);
  const pest = toTell[0];
  const save = (seen: FindSeen) => {
    const all = [...told, seen];
    if (toTell.length > 1) {
      setTold(all);
      setToTell(toTell.slice(1));
      return;
    }
    const finds = all.map((one) => ({
      ...one,
      spots: [...one.spots],
      stages: [...one.stages],
      id: uuidv7(),
      caseId: uuidv7(),
    }));
    onFound(finds, naming!);
  };
  return (
    <section className="walk-body">
      <div className="d-flex gap-3 align-items-center mb-2">
        <Button variant="outline-primary" onClick={pest ? () => setToTell([]) : onBack}>
          Back
        </Button>
        <ScreenHeading key={pest ?? "naming"} className="mb-0">
          {pest ? `Found on ${stop.code}` : `What is on ${stop.code}?`}
        </ScreenHeading>
      </div>
      <TakeCare of={stop.sensitivities} />
      {pest ? (
        <FindDetails
          key={pest}
          pest={pest}
          form={stop.growthForm}
          label={toTell.length > 1 ? `Next: ${pestNames[toTell[1]!].toLowerCase()}` : "Save the find"}
          onSave={save}
        />
      ) : null}
      {/* It stays while the find is told, so that going back finds the signs as they were. */}
      <div hidden={pest !== undefined}>
        <Naming
          circumstances={stop.circumstances}
          onNamed={(result) => {
            setNaming(result.naming);
            setTold([]);
            setToTell(result.pests);
          }}
          onNone={onNothing}
        />
      </div>
    </section>
  );
}
