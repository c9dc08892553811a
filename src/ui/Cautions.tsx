"use client";

import type { MixId } from "@/core/knowledge/mixes/mixes";
import { cautionsOfMix } from "@/core/knowledge/mixes/mixCautions";
import type { CautionId, TechniqueId } from "@/core/knowledge/remedies/remedies";
import type { TreatedPlant } from "@/core/advice/tolerance/treatedPlant";
import { objections, type Objection } from "@/core/advice/tolerance/suitability";
import { isOfHome, toldBefore, type CautionsRead } from "@/core/advice/tolerance/cautionsRead";
import { PoisonCentre } from "./PoisonCentre";
import { noteSeen, useReadCautions } from "./readCautions";
import { toldSentences } from "@/wording/advice/cautions";

/** What must be read before a mix is put on: what speaks against it on this plant, then the remedy's own cautions. */
export function Cautions({
  mix,
  plant,
  technique = "spray",
}: {
  mix: MixId;
  plant?: TreatedPlant;
  technique?: TechniqueId;
}) {
  const against = plant ? objections(plant, mix, technique) : [];
  return <CautionList against={against} cautions={cautionsOfMix(mix)} />;
}

/**
 * What must be read before an act of any kind. What goes with the act everywhere, and stood before a press already, is folded into one
 * line; what speaks up on this plant or in this home never is. `briefly` is for where nothing is put on yet: they stand open again at the
 * press of the treatment.
 */
export function CautionList(props: {
  against: readonly Objection[];
  cautions: readonly CautionId[];
  briefly?: boolean;
}) {
  const { ids: before } = useReadCautions();
  const shown = toldBefore(props.against, props.cautions);
  const isFolded = ({ id, level }: CautionsRead) => level === "caution" && (props.briefly || before.includes(id));
  const open = shown.filter((one) => !isFolded(one));
  const folded = shown.filter(isFolded);
  const all = folded.length === 1 ? "One caution" : `${folded.length} cautions`;
  return (
    <div className="alert alert-warning" role="note" aria-label="Cautions">
      <Lines shown={open} />
      {folded.length > 0 && (
        <details>
          <summary>{props.briefly ? `${all} to read before you treat` : `${all} you have read before`}</summary>
          <Lines shown={folded} />
        </details>
      )}
      <PoisonCentre />
    </div>
  );
}

function Lines({ shown }: { shown: readonly CautionsRead[] }) {
  if (shown.length === 0) return null;
  return (
    <ul className="mb-0 ps-3">
      {shown.map(({ id, level }) => (
        <li key={id} ref={noteSeen(id)} className={classOf[level]}>
          {level === "refuse" && (isOfHome(id) ? "Not here. " : "Not on this plant. ")}
          {toldSentences[id]}
        </li>
      ))}
    </ul>
  );
}

/** What speaks up on this plant stands out; what goes with the act everywhere does not. */
const classOf = { refuse: "fw-semibold text-danger-emphasis", warn: "fw-semibold", caution: undefined } as const;
