import { useEffect, useRef, useState } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { ScreenProgress } from "@/app/_parts/ScreenProgress";
import { withNoneSeen } from "@/core/acts/acts";
import { groupOf } from "@/core/advice/walks/order";
import { spotsOf } from "@/core/knowledge/plants/growthForms";
import type { SpotId } from "@/core/knowledge/plants/spots";
import type { GroupPlant } from "@/operations/sessions/sessionView";
import { SpotsPicker } from "@/ui/forms/SpotsPicker";
import { Link } from "@/ui/Link";
import { useUnits } from "@/ui/shell/Collection";
import { toggled } from "@/ui/toggled";
import { pestName } from "@/wording/names/names";
import { groupNames } from "@/wording/names/walks";
import { amountOf, Careful, type NamedStep, type Ticked } from "./Rows";

/** So many of those that follow are named. */
const AHEAD = 6;

interface Props {
  plants: readonly GroupPlant[];
  steps: readonly NamedStep[];
  /** What is still to be done, on whom. */
  toGo: readonly Ticked[];
  /** The plant that was done last, in this opening of the page. */
  last: GroupPlant | null;
  /** The address under which each planned step has a page of its own, for what went differently; left out where nothing is planned. */
  stepPages?: string | undefined;
  /** Whether the presses stay under the thumb. */
  sticky: boolean;
  onDone: (plant: GroupPlant, some: readonly Ticked[]) => void;
}

/** One plant at a time, with everything that is done to it: the next one is here already and waits for nothing. */
export function PlantByPlant({ plants, steps, toGo, last, stepPages, sticky, onDone }: Props) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const linesOf = (plantId: string) => toGo.filter(({ line }) => line.plantId === plantId);
  const isOpen = ({ plantId }: GroupPlant) => linesOf(plantId).some(({ step }) => !step.optional);
  const theirs = plants.filter(({ plantId }) =>
    steps.some(({ lines }) => lines.some((line) => line.plantId === plantId && !line.refused)),
  );
  const open = theirs.filter(isOpen);
  const next = open.filter(({ plantId }) => !left.has(plantId));
  const later = open.filter(({ plantId }) => left.has(plantId));
  const [now, ...ahead] = next;
  const refused = steps.flatMap(({ lines }) => lines.filter((line) => line.refused));
  const codeOf = (plantId: string) => plants.find((plant) => plant.plantId === plantId)?.code ?? "";
  return (
    <>
      <ScreenProgress done={theirs.length - open.length} of={theirs.length}>
        {theirs.length - open.length} of {theirs.length}
      </ScreenProgress>
      {now ? (
        <Stop
          key={now.plantId}
          plant={now}
          some={linesOf(now.plantId)}
          last={last}
          stepPages={stepPages}
          sticky={sticky}
          onDone={(some) => onDone(now, some)}
          onLeave={() => setLeft(new Set([...left, now.plantId]))}
        />
      ) : (
        <p className="fw-semibold">{later.length === 0 ? "All done." : "The others are done."}</p>
      )}
      {later.length > 0 && (
        <p>
          Left for later: {later.map(({ code }) => code).join(", ")}.{" "}
          <Button size="sm" variant="outline-primary" onClick={() => setLeft(new Set())}>
            Do them now
          </Button>
        </p>
      )}
      {ahead.length > 0 && (
        <p className="small mb-1">
          Then{" "}
          {ahead
            .slice(0, AHEAD)
            .map(({ code }) => code)
            .join(", ")}
          {ahead.length > AHEAD && ` and ${ahead.length - AHEAD} more`}.
        </p>
      )}
      {refused.map((line) => (
        <div key={`${line.plantId} ${line.act?.kind}`} className="small">
          {codeOf(line.plantId)}: <Careful line={line} />
        </div>
      ))}
    </>
  );
}

interface StopProps extends Pick<Props, "last" | "stepPages" | "sticky"> {
  plant: GroupPlant;
  some: readonly Ticked[];
  onDone: (some: readonly Ticked[]) => void;
  onLeave: () => void;
}

function Stop({ plant, some, last, stepPages, sticky, onDone, onLeave }: StopProps) {
  const [reached, setReached] = useState<ReadonlyMap<string, readonly SpotId[]>>(new Map());
  const [also, setAlso] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState("");
  const group = groupOf(plant.card);
  const head = useRef<HTMLElement>(null);
  const follows = last !== null;
  // What was told of the last one has moved it down, or a long plant before it up.
  useEffect(() => {
    if (follows) head.current?.scrollIntoView({ block: "nearest" });
  }, [follows]);
  const spotsIn = ({ step, line: { act } }: Ticked) =>
    act && "spots" in act ? (reached.get(step.id) ?? act.spots) : null;
  const taken = some.filter(({ step }) => !step.optional || also.includes(step.id));
  const press = (noneSeen: boolean) => {
    if (taken.some((one) => spotsIn(one)?.length === 0)) return setProblem("Press the places you reached first.");
    onDone(
      taken.map((one) => {
        const { step, line } = one;
        const spots = spotsIn(one);
        const act = line.act && spots ? { ...line.act, spots: [...spots] } : line.act;
        return { step, line: { ...line, act: (noneSeen && act && withNoneSeen(act)) || act } };
      }),
    );
  };
  const eyed = taken.some(({ line: { act } }) => act && withNoneSeen(act) !== null);
  return (
    <article ref={head} className="session-stop" aria-label={`${plant.code} ${plant.card.name}`}>
      {last && groupOf(last.card) !== group && (
        <p className="session-border" role="note">
          Clean hands, clean tools. Next: {groupNames[group]}.
        </p>
      )}
      <h3 className="session-plant">
        {plant.code} {plant.card.name}
      </h3>
      <p className="mb-2">{plant.placeName}.</p>
      {some.map((one) => (
        <Doing
          key={one.step.id}
          one={one}
          plant={plant}
          spots={spotsIn(one)}
          stepPages={stepPages}
          also={also.includes(one.step.id)}
          onAlso={() => setAlso((all) => toggled(all, one.step.id))}
          onSpot={(spot) => {
            setProblem("");
            setReached(new Map(reached).set(one.step.id, toggled(spotsIn(one) ?? [], spot)));
          }}
        />
      ))}
      {problem && (
        <p className="text-danger-emphasis fw-semibold mb-1" role="alert">
          {problem}
        </p>
      )}
      <div className={sticky ? "sticky-press" : undefined}>
        <div className="walk-presses session-presses">
          <Button variant="outline-primary" className="big" onClick={onLeave}>
            Not now
          </Button>
          {eyed && (
            <Button variant="outline-primary" className="big" onClick={() => press(true)}>
              None seen, next
            </Button>
          )}
          <Button className="big" onClick={() => press(false)}>
            Done, next
          </Button>
        </div>
      </div>
    </article>
  );
}

/** One thing that is done to the plant: what, how much, against whom, and the places that were reached. */
function Doing({
  one: { step, line },
  plant,
  spots,
  stepPages,
  also,
  onAlso,
  onSpot,
}: {
  one: Ticked;
  plant: GroupPlant;
  spots: readonly SpotId[] | null;
  stepPages?: string | undefined;
  also: boolean;
  onAlso: () => void;
  onSpot: (spot: SpotId) => void;
}) {
  const units = useUnits();
  const { act, caseId, stepId } = line;
  const pest = plant.cases.find((one) => one.caseId === caseId)?.pest ?? null;
  const what = amountOf(line, units) || step.name;
  const unpots = act?.kind === "mechanical" && act.way === "unpot";
  if (step.optional)
    return <Form.Check id={`also-${step.id}`} className="mb-2" checked={also} onChange={onAlso} label={step.name} />;
  return (
    <div className="mb-2">
      <p className="mb-1">
        {what}.{stepId !== null && ` Against ${pestName(pest)}.`}
        {step.how && <span className="d-block small">{step.how}.</span>}
      </p>
      <Careful line={line} />
      {spots && !unpots && (
        // Where no eye guides the hand all of it is wetted, and seldom less.
        <details open={act !== null && withNoneSeen(act) !== null}>
          <summary className="py-2">Places reached: {spots.length}</summary>
          <SpotsPicker form={plant.bearer.form} order={spotsOf(plant.bearer.form)} ticked={spots} onPress={onSpot} />
        </details>
      )}
      {(unpots || (stepPages && stepId !== null)) && (
        <p className="mt-2 mb-0 d-flex flex-wrap gap-2">
          {stepPages && stepId !== null && (
            <Link className="btn btn-sm btn-outline-primary" href={`${stepPages}/${stepId}`}>
              Something went differently
            </Link>
          )}
          {unpots && (
            <Link className="btn btn-sm btn-outline-primary" href={`/plants/${plant.plantId}/unpot`}>
              Step by step, with the pot size
            </Link>
          )}
        </p>
      )}
    </div>
  );
}
