import { isKnownPest, pestOf, type PestId } from "@/core/knowledge/pests/pests";
import { sizeOf } from "@/core/knowledge/pests/sizes";
import { pestNames, stageNames } from "@/wording/names/names";
import { stageLooks } from "@/wording/names/signs";
import { Animal, trueBodyPx } from "./Animal";

/** Two are compared at one scale: the larger of them is drawn so long, px. */
const LARGER_PX = 130;
const SMALLEST_PX = 10;

/** What is compared of a pest: the stage that is seen most often, which is the grown one. */
const stageOf = (pest: PestId) => pestOf(pest).stages.at(-1)!.id;

/** Two pests side by side at one scale, with what each looks like. */
export function SideBySide({ pests }: { pests: readonly [PestId, PestId] }) {
  const largest = Math.max(...pests.map((pest) => sizeOf(pest, stageOf(pest))));
  return (
    <ul className="animal-stages">
      {pests.map((pest) => {
        const stage = stageOf(pest);
        return (
          <li key={pest}>
            <span className="animal-frame">
              <Animal
                pest={pest}
                stage={stage}
                bodyPx={Math.max(SMALLEST_PX, trueBodyPx(pest, stage, LARGER_PX / largest, 1))}
              />
            </span>
            <strong>{pestNames[pest]}</strong>, {stageNames[stage]?.toLowerCase()}: {sizeOf(pest, stage)} mm
            <span className="d-block">{stageLooks[pest][stage]}</span>
          </li>
        );
      })}
    </ul>
  );
}

/** A pest as a small picture beside its name; nothing for one that is not drawn. */
export function SmallAnimal({ pest }: { pest: string }) {
  if (!isKnownPest(pest)) return <span className="animal-small" aria-hidden />;
  return (
    <span className="animal-small" aria-hidden>
      <Animal pest={pest} stage={stageOf(pest)} bodyPx={30} />
    </span>
  );
}
