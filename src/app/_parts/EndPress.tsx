"use client";

import { useState } from "react";
import Button from "react-bootstrap/Button";
import { v7 as uuidv7 } from "uuid";
import type { RoomProgrammeId } from "@/core/record/facts/kinds/roomProgramme";
import { endProgrammeAction } from "./actions";
import { usePress } from "./usePress";

/** Ends a programme of a room or of the collection; what was done stays on record, and it can be begun again. */
export function EndPress({
  programme,
  placeId,
  clear,
}: {
  programme: RoomProgrammeId;
  placeId: string | null;
  /** Whether it is to be called over, and not just stopped. */
  clear: boolean;
}) {
  const { press, trouble, going } = usePress(endProgrammeAction);
  const [id] = useState(() => uuidv7());
  return (
    <>
      <Button
        variant={clear ? "primary" : "outline-primary"}
        disabled={going}
        onClick={() => void press({ id, programme, placeId, outcome: clear ? "clear" : "stopped", note: "" })}
      >
        {clear ? "Say it is over" : "Stop it"}
      </Button>
      {trouble && (
        <p className="text-danger-emphasis fw-semibold mb-0" role="alert">
          {trouble}
        </p>
      )}
    </>
  );
}
