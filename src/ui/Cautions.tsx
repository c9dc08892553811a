import { householdIds } from "@/core/household/household";
import type { MixId } from "@/core/mixing/mixes";
import { mixes } from "@/core/mixing/mixes";
import type { CautionId, TechniqueId } from "@/core/remedies/remedies";
import { inOrderOfHarm, remedyOf } from "@/core/remedies/remedies";
import type { Bearer } from "@/core/suitability/bearer";
import { objections, type Objection } from "@/core/suitability/suitability";
import { PoisonCentre } from "./PoisonCentre";
import { cautionSentences, objectionSentences } from "@/wording/cautions";

const ofHome: readonly Objection["code"][] = [
  ...householdIds,
  ...(["notAllowed", "noBottle", "labelNotIndoors", "labelNotOutdoors"] as const),
];
const isOfHome = (code: Objection["code"]) => ofHome.includes(code);

/** What must be read before a mix is put on: what speaks against it on this plant, then the remedy's own cautions. */
export function Cautions({ mix, plant, technique = "spray" }: { mix: MixId; plant?: Bearer; technique?: TechniqueId }) {
  const against = plant ? objections(plant, mix, technique) : [];
  return <CautionList against={against} cautions={remedyOf(mixes[mix].remedy).cautions} />;
}

/** What must be read before an act of any kind. */
export function CautionList(props: { against: readonly Objection[]; cautions: readonly CautionId[] }) {
  const { against, cautions } = props;
  // What speaks up on this plant says some of it already.
  const told = inOrderOfHarm(cautions).filter((id) => !against.some(({ code }) => code === id));
  return (
    <div className="alert alert-warning" role="note" aria-label="Cautions">
      {against.length > 0 && (
        <ul className="mb-2 ps-3 fw-semibold">
          {against.map(({ code, level }) => (
            <li key={code} className={level === "refuse" ? "text-danger-emphasis" : undefined}>
              {level === "refuse" && (isOfHome(code) ? "Not here. " : "Not on this plant. ")}
              {objectionSentences[code]}
            </li>
          ))}
        </ul>
      )}
      <ul className="mb-0 ps-3">
        {told.map((id) => (
          <li key={id}>{cautionSentences[id]}</li>
        ))}
      </ul>
      <PoisonCentre />
    </div>
  );
}
