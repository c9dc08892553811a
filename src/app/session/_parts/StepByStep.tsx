import type { SessionLine } from "@/core/advice/sessions/session";
import type { GroupPlant } from "@/operations/sessions/sessionView";
import { groupBy } from "@/core/shared/groupBy";
import { objectionSentences } from "@/wording/advice/cautions";
import { howOf, Row, type NamedStep } from "./Rows";
import type { Ticks } from "./useTicks";

/** The steps in their order, each with how far it is. */
export function Steps({
  steps,
  at,
  done,
  onShow,
}: {
  steps: readonly NamedStep[];
  at: number;
  done: Ticks["done"];
  onShow: (i: number) => void;
}) {
  return (
    <ol className="session-steps" aria-label="Steps">
      {steps.map(({ id, name, lines, optional }, i) => (
        <li key={id}>
          <button
            type="button"
            className={`btn ${i === at ? "btn-primary" : "btn-outline-primary"}`}
            aria-current={i === at ? "step" : undefined}
            onClick={() => onShow(i)}
          >
            {name}
            <span className="d-block small">
              {done[i]!.size} of {lines.length}
              {optional && ", as needed"}
            </span>
          </button>
        </li>
      ))}
    </ol>
  );
}

/** The plants of one step: each ticked or taken out, and with its own press. */
export function StepRows({
  step,
  at,
  ticks,
  byId,
  onDone,
}: {
  step: NamedStep;
  at: number;
  ticks: Ticks;
  byId: ReadonlyMap<string, GroupPlant>;
  onDone: (line: SessionLine) => void;
}) {
  const hows = new Set(step.lines.map(({ act }) => howOf(act)));
  const [how = ""] = hows;
  const care = groupBy(
    step.lines
      .filter(({ refused }) => !refused)
      .flatMap(({ plantId, against }) => against.map(({ code }) => ({ code, plantId }))),
    ({ code }) => code,
  );
  return (
    <>
      {hows.size === 1 && how !== "" && how !== step.name && <p className="mb-2">{how}.</p>}
      {care.size > 0 && (
        <ul className="small mb-2">
          {[...care].map(([code, some]) => (
            <li key={code}>
              <strong>{objectionSentences[code]}</strong>{" "}
              {some.map(({ plantId }) => byId.get(plantId)!.code).join(", ")}
            </li>
          ))}
        </ul>
      )}
      <p className="small">
        {step.optional
          ? "Tick the plants you did."
          : "Untick plants you leave out. Plants that do not tolerate it are left out already."}
      </p>
      {placesAlong(step.lines, byId).map(({ placeName, lines }, i) => (
        <div key={i}>
          <h3 className="session-place">{placeName}</h3>
          <ul className="list-unstyled mb-0">
            {lines.map((line) => (
              <Row
                key={line.plantId}
                plant={byId.get(line.plantId)!}
                line={line}
                same={hows.size === 1}
                done={ticks.isDone(at, line)}
                ticked={ticks.isTicked(at, line)}
                onTick={() => ticks.toggle(at, line)}
                onDone={() => onDone(line)}
              />
            ))}
          </ul>
        </div>
      ))}
    </>
  );
}

/** The plants in their order, those that follow each other at one place together. */
function placesAlong(lines: readonly SessionLine[], byId: ReadonlyMap<string, GroupPlant>) {
  const places: { readonly placeName: string; readonly lines: SessionLine[] }[] = [];
  for (const line of lines) {
    const { placeName } = byId.get(line.plantId)!;
    if (places.at(-1)?.placeName === placeName) places.at(-1)!.lines.push(line);
    else places.push({ placeName, lines: [line] });
  }
  return places;
}
