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

/** What is put on it, and how much. */
export function amountOf({ act }: Pick<SessionLine, "act">, units: Units): string[] {
  if (act?.kind === "contact") {
    const how = techniqueNames[act.technique].toLowerCase();
    return [`${mixNames[act.mix]}, ${how}, ${volumeIn(act.volumeMl, units)}`];
  }
  if (act?.kind === "mechanical" && act.percent !== null) return [`about ${act.percent} % of it cut off`];
  return act?.kind === "drench" ? [`${volumeIn(act.volumeMl, units)} into the pot`] : [];
}

/** What speaks against it, and what its label has against it today. */
export function Careful({ lines }: { lines: readonly SessionLine[] }) {
  const refused = lines.some((line) => line.refused);
  const objections = [...new Set(lines.flatMap(({ against }) => against.map(({ code }) => code)))];
  const label = [...new Set(lines.flatMap((line) => line.label.map(labelSentence)))];
  return [
    ...objections.map((code) => (
      <span key={code} className={`d-block small ${refused ? "text-danger-emphasis" : ""} fw-semibold`}>
        {refused && "Left out. "}
        {objectionSentences[code]}
      </span>
    )),
    ...label.map((sentence) => (
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
  done,
  ticked,
  onTick,
  onDone,
}: {
  plant: GroupPlant;
  line: SessionLine;
  done: boolean;
  ticked: boolean;
  onTick: () => void;
  onDone: () => void;
}) {
  const units = useUnits();
  const [amount] = amountOf(line, units);
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
            , {plant.placeName}
            {amount && `: ${amount}`}
            <Careful lines={[line]} />
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
