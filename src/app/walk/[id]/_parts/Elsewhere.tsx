import Button from "react-bootstrap/Button";
import type { WalkEvent } from "@/core/walk/progress";
import type { Stop } from "@/operations/readWalk";
import { walkEventNames } from "@/wording/walks";
import { ScreenHeading } from "../../_parts/ScreenHeading";

/** The plant on the screen was written down on another device: nothing goes on by itself while a finger may be on its way. */
export function Elsewhere({ stop, event, onGoOn }: { stop: Stop; event: WalkEvent; onGoOn: () => void }) {
  return (
    <section className="walk-body walk-border">
      <ScreenHeading>
        {stop.code} {stop.name}
      </ScreenHeading>
      <p className="fs-5">Written down on another device just now: {walkEventNames[event.kind]}.</p>
      <Button className="big w-100" onClick={onGoOn}>
        Go on
      </Button>
    </section>
  );
}
