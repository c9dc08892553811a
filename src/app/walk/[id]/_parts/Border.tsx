import Button from "react-bootstrap/Button";
import type { WalkGroup } from "@/core/advice/walks/order";
import { groupNames } from "@/wording/names/walks";
import { ScreenHeading } from "../../_parts/ScreenHeading";

/** Between two groups nothing goes on before hands and tools are clean. */
export function Border({ group, plants, onCleaned }: { group: WalkGroup; plants: number; onCleaned: () => void }) {
  return (
    <section className="walk-body walk-border">
      <ScreenHeading>Clean hands, clean tools</ScreenHeading>
      <p className="fs-5">
        Next: {plants} {plants === 1 ? "plant" : "plants"}, {groupNames[group]}.
      </p>
      <p>
        Wash your hands or wipe them with alcohol, sleeves too. Wipe the lamp, the loupe and any tool that touched a
        plant.
      </p>
      <Button className="big w-100" onClick={onCleaned}>
        Cleaned, continue
      </Button>
    </section>
  );
}
