"use client";

import { useState } from "react";
import Button from "react-bootstrap/Button";
import { v7 as uuidv7 } from "uuid";
import { useRouter } from "next/navigation";
import { recordActAction } from "@/app/_parts/actions";
import { cautionsOfAct } from "@/core/acts/acts";
import { recordAct } from "@/core/facts/kinds/act";
import { gnatWays, type GnatPlaceSize, type GnatWayId } from "@/core/rooms/gnats/ways";
import { CautionList } from "@/ui/Cautions";
import { SubmitRow } from "@/ui/fields/fields";
import { MomentField } from "@/ui/fields/MomentField";
import { useDeed } from "@/ui/fields/useDeed";
import { useCollection } from "@/ui/shell/Collection";
import { gnatWayNames } from "@/wording/rooms";
import { withOffset } from "@/zones";

interface Pressed {
  readonly placeId: string;
  readonly way: GnatWayId;
  readonly size: GnatPlaceSize;
}

/** A way was carried out in the whole room: its cautions are read first, then it is one press. */
export function WayPress(pressed: Pressed) {
  const [open, setOpen] = useState(false);
  if (open) return <WayForm {...pressed} close={() => setOpen(false)} />;
  return (
    <Button size="sm" aria-label={`Do: ${gnatWayNames[pressed.way]}`} onClick={() => setOpen(true)}>
      Do it
    </Button>
  );
}

function WayForm({ placeId, way, size, close }: Pressed & { close: () => void }) {
  const router = useRouter();
  const { timeZone } = useCollection();
  const act = gnatWays[way].act(size);
  const cautions = cautionsOfAct(act);
  const { form, submit, trouble } = useDeed({
    schema: recordAct,
    action: recordActAction,
    defaults: () => ({
      ...{ id: uuidv7(), plantId: null, placeId, caseId: null, stepId: null },
      ...{ act, at: withOffset(new Date(), timeZone), note: "", alreadyDone: false },
    }),
    done: () => {
      close();
      router.refresh();
    },
  });
  return (
    <form className="w-100" onSubmit={submit} noValidate>
      {cautions.length > 0 && <CautionList against={[]} cautions={cautions} />}
      <p className="mb-2">{told(act)}</p>
      <MomentField form={form} name="at" label="When" hint="What you do already counts from the day it began." />
      <SubmitRow form={form} trouble={trouble} label="Done">
        <Button variant="outline-primary" onClick={close}>
          Not now
        </Button>
      </SubmitRow>
    </form>
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
  if (act.kind === "dust")
    return "A thin coat on a mix that is dry on top, and on the saucers; anew once it was wetted.";
  return "In every pot of the room, and kept up until you end it.";
}
