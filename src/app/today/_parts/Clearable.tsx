"use client";

import { Link } from "@/ui/Link";
import Button from "react-bootstrap/Button";
import { useState } from "react";
import { v7 as uuidv7 } from "uuid";
import { closeCaseAction } from "@/app/_parts/actions";
import { usePress } from "@/app/_parts/usePress";
import type { LikelyOver } from "@/operations/cases/queries/readClearable";
import { Panel } from "@/ui/Panel";
import { PlantLine } from "@/ui/PlantLine";
import { useCollection } from "@/ui/shell/Collection";
import { Only } from "@/ui/shell/Only";
import { pestNames } from "@/wording/names/names";
import { withOffset } from "@/zones";

/** Cases that may be called clear: each is closed with one press. */
export function Clearable({ cases }: { cases: readonly LikelyOver[] }) {
  if (cases.length === 0) return null;
  return (
    <Panel title={cases.length === 1 ? "May be called clear" : `May be called clear: ${cases.length}`} tone="proposed">
      <ul className="list-group list-group-flush">
        {cases.map((one) => (
          <PlantLine key={one.caseId} plant={one.plant} note={pestNames[one.pest].toLowerCase()}>
            <Link className="btn btn-outline-primary" href={`/cases/${one.caseId}`}>
              Why
            </Link>
            <Only right="record">
              <ClosePress caseId={one.caseId} code={one.plant.code} />
            </Only>
          </PlantLine>
        ))}
      </ul>
    </Panel>
  );
}

function ClosePress({ caseId, code }: { caseId: string; code: string }) {
  const { timeZone } = useCollection();
  const { press, trouble, going } = usePress(closeCaseAction);
  const [id] = useState(() => uuidv7());
  const close = () => press({ id, caseId, outcome: "clear", at: withOffset(new Date(), timeZone), note: "" });
  return (
    <>
      <Button disabled={going} aria-label={`Close as clear: ${code}`} onClick={() => void close()}>
        Close as clear
      </Button>
      {trouble && (
        <p className="w-100 text-danger-emphasis fw-semibold mb-0" role="alert">
          {trouble}
        </p>
      )}
    </>
  );
}
