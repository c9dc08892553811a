"use client";

import { useState } from "react";
import Button from "react-bootstrap/Button";
import { v7 as uuidv7 } from "uuid";
import { useRouter } from "next/navigation";
import { recordActAction } from "@/app/_parts/actions";
import { cautionsOfAct } from "@/core/acts/acts";
import { recordAct } from "@/core/record/facts/kinds/act";
import type { GnatWayId } from "@/core/acts/gnatWayIds";
import { gnatWays, type GnatPlaceSize } from "@/core/acts/gnatWays";
import { CautionList } from "@/ui/Cautions";
import { SubmitRow } from "@/ui/fields/fields";
import { MomentField } from "@/ui/fields/MomentField";
import { useCommand } from "@/ui/fields/useCommand";
import { useCollection } from "@/ui/shell/Collection";
import { gnatWayNames } from "@/wording/advice/seasons/seasons";
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
    <Button aria-label={`Do: ${gnatWayNames[pressed.way]}`} onClick={() => setOpen(true)}>
      Do it
    </Button>
  );
}

function WayForm({ placeId, way, size, close }: Pressed & { close: () => void }) {
  const router = useRouter();
  const { timeZone } = useCollection();
  const act = gnatWays[way].act(size);
  const cautions = cautionsOfAct(act);
  const { form, submit, trouble } = useCommand({
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
      <p className="mb-2">{wayInWords(act)}</p>
      <MomentField form={form} name="at" label="When" hint="If you already do it, give the day you started." />
      <SubmitRow form={form} trouble={trouble} label="Done">
        <Button variant="outline-primary" onClick={close}>
          Not now
        </Button>
      </SubmitRow>
    </form>
  );
}

/** How much of it the room takes. */
function wayInWords(act: ReturnType<(typeof gnatWays)[GnatWayId]["act"]>): string {
  if (act.kind === "trap")
    return act.lure === "vinegar"
      ? `${act.cards} ${act.cards === 1 ? "cup" : "cups"}: cider vinegar with two drops of soap.`
      : `${act.cards} ${act.cards === 1 ? "card" : "cards"}, flat over the mix or upright in it. Take the old ones down.`;
  if (act.kind === "drench")
    return `About ${Math.round(act.volumeMl / 10) / 100} L for all pots, until it runs through; not where the mix is sodden.`;
  if (act.kind === "release")
    return `${act.sachets} ${act.sachets === 1 ? "pack" : "packs"} as the label says, on moist mix.`;
  if (act.kind === "dust")
    return "A thin coat on mix that is dry on top, and on the saucers; renew it once it gets wet.";
  return "In every pot of the room, until you stop it.";
}
