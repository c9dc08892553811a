"use client";

import { useState } from "react";
import Button from "react-bootstrap/Button";
import { v7 as uuidv7 } from "uuid";
import { recordActAction } from "@/app/_parts/actions";
import { usePress } from "@/app/_parts/usePress";
import { cautionsOfAct } from "@/core/acts/acts";
import { gnatWays, type GnatPlaceSize, type GnatWayId } from "@/core/rooms/gnats/ways";
import { CautionList } from "@/ui/Cautions";
import { useCollection } from "@/ui/shell/Collection";
import { gnatWayNames } from "@/wording/rooms";
import { withOffset } from "@/zones";

/** A way was carried out in the whole room: its cautions are read first, then it is one press. */
export function WayPress({ placeId, way, size }: { placeId: string; way: GnatWayId; size: GnatPlaceSize }) {
  const { timeZone } = useCollection();
  const { press, trouble, going } = usePress(recordActAction);
  const [open, setOpen] = useState(false);
  const act = gnatWays[way].act(size);
  const cautions = cautionsOfAct(act);
  const done = async () => {
    const filed = { plantId: null, placeId, caseId: null, stepId: null };
    const at = withOffset(new Date(), timeZone);
    if (await press({ id: uuidv7(), ...filed, act, at, note: "", alreadyDone: false })) setOpen(false);
  };
  if (!open)
    return (
      <Button size="sm" aria-label={`Do: ${gnatWayNames[way]}`} onClick={() => setOpen(true)}>
        Do it
      </Button>
    );
  return (
    <div className="w-100">
      {cautions.length > 0 && <CautionList against={[]} cautions={cautions} />}
      <p className="mb-2">{told(act)}</p>
      <div className="d-flex gap-2">
        <Button disabled={going} onClick={() => void done()}>
          Done
        </Button>
        <Button variant="outline-primary" onClick={() => setOpen(false)}>
          Not now
        </Button>
      </div>
      {trouble && (
        <p className="text-danger-emphasis fw-semibold mb-0" role="alert">
          {trouble}
        </p>
      )}
    </div>
  );
}

/** How much of it the room takes. */
function told(act: ReturnType<(typeof gnatWays)[GnatWayId]["act"]>): string {
  if (act.kind === "trap")
    return act.lure === "vinegar"
      ? `${act.cards} ${act.cards === 1 ? "cup" : "cups"}: cider vinegar with two drops of soap.`
      : `${act.cards} ${act.cards === 1 ? "card" : "cards"}, flat over the mix or upright in it. Take the old ones down.`;
  if (act.kind === "drench")
    return `About ${Math.round(act.volumeMl / 10) / 100} L for all pots, until it runs through; not on a mix that is sodden.`;
  if (act.kind === "release")
    return `${act.sachets} ${act.sachets === 1 ? "pack" : "packs"} by the label, on a moist mix.`;
  return "In every pot of the room, and kept up until you end it.";
}
