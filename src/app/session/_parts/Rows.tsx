import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import type { SessionLine, SessionStep } from "@/core/advice/sessions/session";
import type { GroupPlant } from "@/operations/sessions/sessionView";
import { useUnits } from "@/ui/shell/Collection";
import { objectionSentences } from "@/wording/advice/cautions";
import { mixNames, techniqueNames } from "@/wording/names/names";
import { labelSentence } from "@/wording/record/problems";
import { volumeIn, type Units } from "@/wording/units";

/** A step with the name it is pressed by. */
export interface NamedStep extends SessionStep {
  readonly name: string;
  /** How it is done; nothing where the keeper has chosen it. */
  readonly how?: string;
}

/** A plant's part of a step that is to be pressed. */
export interface Ticked {
  readonly step: NamedStep;
  readonly line: SessionLine;
}

/** What is put on it, and how much; empty where neither is said. */
export function amountOf({ act }: Pick<SessionLine, "act">, units: Units): string {
  const how = howOf(act);
  const much = muchOf(act, units);
  return how && much ? `${how}, ${much}` : how || much;
}

/** The mix and the way it is put on. @example howOf(soapSpray) // "Soap wash, mild (5 mL per litre), spray to run-off" */
export function howOf(act: SessionLine["act"]): string {
  return act?.kind === "contact" ? `${mixNames[act.mix]}, ${techniqueNames[act.technique].toLowerCase()}` : "";
}

function muchOf(act: SessionLine["act"], units: Units): string {
  if (act?.kind === "contact") return volumeIn(act.volumeMl, units);
  if (act?.kind === "mechanical" && act.percent !== null) return `about ${act.percent} % of it cut off`;
  return act?.kind === "drench" ? `${volumeIn(act.volumeMl, units)} into the pot` : "";
}

/** What speaks against it, and what its label has against it today. */
export function Careful({ line }: { line: SessionLine }) {
  return [
    ...line.against.map(({ code }) => (
      <span key={code} className={`d-block small ${line.refused ? "text-danger-emphasis" : ""} fw-semibold`}>
        {line.refused && "Left out. "}
        {objectionSentences[code]}
      </span>
    )),
    ...[...new Set(line.label.map(labelSentence))].map((sentence) => (
      <span key={sentence} className="d-block small fw-semibold">
        {sentence}
      </span>
    )),
  ];
}

/** A plant of one step: ticked or taken out, and its own press. */
export function Row({
  plant,
  line,
  same,
  done,
  ticked,
  onTick,
  onDone,
}: {
  plant: GroupPlant;
  line: SessionLine;
  /** Whether all have the same put on in the same way, and only how much is said. */
  same: boolean;
  done: boolean;
  ticked: boolean;
  onTick: () => void;
  onDone: () => void;
}) {
  const units = useUnits();
  const amount = same ? muchOf(line.act, units) : amountOf(line, units);
  return (
    <li className="evening-line">
      <Form.Check
        id={`take-${line.plantId}`}
        className="flex-grow-1"
        checked={ticked}
        disabled={line.refused}
        onChange={onTick}
        label={
          <>
            <strong>
              {plant.code} {plant.card.name}
            </strong>
            {amount && `: ${amount}`}
            {/* What only asks for care is said once, above. */}
            {(line.refused || line.label.length > 0) && <Careful line={line} />}
          </>
        }
      />
      {ticked ? (
        <Button size="sm" variant="outline-primary" aria-label={`Done: ${plant.code}`} onClick={onDone}>
          Done
        </Button>
      ) : (
        done && <span>Done</span>
      )}
    </li>
  );
}
