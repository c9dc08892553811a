import Button from "react-bootstrap/Button";
import type { WalkEvent } from "@/core/advice/walks/progress";
import type { Stop } from "@/operations/walks/queries/readWalk";
import { walkEventNames } from "@/wording/names/walks";
import { ScreenHeading } from "../../_parts/ScreenHeading";

/** The plant on the screen was written down on another device: nothing goes on by itself while a finger may be on its way. */
export function Elsewhere({ stop, event, onGoOn }: { stop: Stop; event: WalkEvent; onGoOn: () => void }) {
  return (
    <section className="walk-body walk-border">
      <ScreenHeading>
        {stop.code} {stop.name}
      </ScreenHeading>
      <p className="fs-5">Just recorded on another device: {walkEventNames[event.kind]}.</p>
      <Button className="big w-100" onClick={onGoOn}>
        Continue
      </Button>
    </section>
  );
}
