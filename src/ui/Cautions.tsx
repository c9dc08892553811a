import type { MixId } from "@/core/mixing/mixes";
import { mixes } from "@/core/mixing/mixes";
import type { TechniqueId } from "@/core/remedies/remedies";
import { remedyOf } from "@/core/remedies/remedies";
import type { Bearer } from "@/core/suitability/bearer";
import { objections } from "@/core/suitability/suitability";
import { cautionSentences, objectionSentences } from "@/wording/cautions";

/** What must be read before the act: what speaks against it on this plant, then the remedy's own cautions. */
export function Cautions({ mix, plant, technique = "spray" }: { mix: MixId; plant?: Bearer; technique?: TechniqueId }) {
  const against = plant ? objections(plant, mix, technique) : [];
  const { cautions } = remedyOf(mixes[mix].remedy);
  return (
    <div className="alert alert-warning" role="note" aria-label="Cautions">
      {against.length > 0 && (
        <ul className="mb-2 ps-3 fw-semibold">
          {against.map(({ code, level }) => (
            <li key={code} className={level === "refuse" ? "text-danger-emphasis" : undefined}>
              {level === "refuse" && "Not on this plant. "}
              {objectionSentences[code]}
            </li>
          ))}
        </ul>
      )}
      <ul className="mb-0 ps-3">
        {cautions.map((id) => (
          <li key={id}>{cautionSentences[id]}</li>
        ))}
      </ul>
    </div>
  );
}
