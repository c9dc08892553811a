import type { SessionLine } from "@/core/advice/sessions/session";
import type { GroupPlant } from "@/operations/sessions/sessionView";
import { Row, type NamedStep } from "./Rows";
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
  return (
    <>
      <p className="small">
        {step.optional
          ? "Tick the plants you did."
          : "Untick plants you leave out. Plants that do not tolerate it are left out already."}
      </p>
      <ul className="list-unstyled mb-0">
        {step.lines.map((line) => (
          <Row
            key={line.plantId}
            plant={byId.get(line.plantId)!}
            line={line}
            done={ticks.isDone(at, line)}
            ticked={ticks.isTicked(at, line)}
            onTick={() => ticks.toggle(at, line)}
            onDone={() => onDone(line)}
          />
        ))}
      </ul>
    </>
  );
}
