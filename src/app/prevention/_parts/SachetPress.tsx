"use client";

import Button from "react-bootstrap/Button";
import { v7 as uuidv7 } from "uuid";
import { recordActAction } from "@/app/_parts/actions";
import { usePress } from "@/app/_parts/usePress";
import { cautionsOfAct, type Act } from "@/core/acts/acts";
import type { Chosen } from "@/core/record/facts/kinds/roomProgramme";
import { CautionList } from "@/ui/Cautions";
import { useCollection } from "@/ui/shell/Collection";
import { withOffset } from "@/zones";

/** The predators of a programme were let loose at their place. */
export function SachetPress({ placeId, chosen }: { placeId: string; chosen: Chosen<"guests"> }) {
  const { timeZone } = useCollection();
  const { press, trouble, going } = usePress(recordActAction);
  const act: Act = { kind: "release", predator: chosen.predator, sachets: chosen.sachets };
  const filed = { plantId: null, placeId, caseId: null, stepId: null };
  return (
    <div className="w-100">
      <CautionList against={[]} cautions={cautionsOfAct(act)} />
      <Button
        disabled={going}
        onClick={() =>
          void press({
            id: uuidv7(),
            ...filed,
            act,
            at: withOffset(new Date(), timeZone),
            note: "",
            alreadyDone: false,
          })
        }
      >
        Release: {chosen.sachets} {chosen.sachets === 1 ? "sachet" : "sachets"}
      </Button>
      {trouble && (
        <p className="text-danger-emphasis fw-semibold mb-0" role="alert">
          {trouble}
        </p>
      )}
    </div>
  );
}
