"use client";

import { Link } from "@/ui/Link";
import { useRef, useState, type ReactNode } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import { useForm } from "react-hook-form";
import { NotSentYet } from "@/app/_parts/NotSentYet";
import { cautionsOfAct } from "@/core/acts/acts";
import { gearFor, isSprayed } from "@/core/advice/tolerance/gear";
import { handsOf, type Paces } from "@/core/advice/sessions/pace";
import { cansOf, doneIn, minutesOf, type SessionLine } from "@/core/advice/sessions/session";
import { toldBefore } from "@/core/advice/tolerance/cautionsRead";
import type { GroupPlant } from "@/operations/sessions/queries/readGroup";
import { Amounts, type Measuring } from "@/ui/Amounts";
import { CautionList } from "@/ui/Cautions";
import { TimeAndNote } from "@/ui/fields/TimeAndNote";
import { Panel } from "@/ui/Panel";
import { useReadCautions } from "@/ui/readCautions";
import { toggled } from "@/ui/toggled";
import { volumeIn } from "@/wording/units";
import { gearNames } from "@/wording/advice/cautions";
import { hoursInWords } from "@/wording/dates";
import { mixNames } from "@/wording/names/names";
import { Afterwards } from "./Afterwards";
import { PlantRow, Row, type NamedStep, type Ticked } from "./Rows";
import { useGroup } from "./useGroup";
import { useUnits } from "@/ui/shell/Collection";
import { plantsInWords } from "@/wording/names/plants";

/** What every session is given. */
export interface RunProps {
  readonly plants: readonly GroupPlant[];
  readonly measuring: Measuring;
  /** The moment it is, as a form shows it. */
  readonly now: string;
  readonly paces: Paces;
}

/**
 * A session: who, with what and how much, and the presses that write it down, one step over the whole group or everything on one plant
 * after the other. Nothing here knows what the session is for.
 */
export function RunSession({
  plants,
  steps,
  measuring,
  now,
  paces,
  at,
  goTo,
  onWrite,
  onUndo,
  children,
}: RunProps & {
  steps: readonly NamedStep[];
  /** The step that is shown, where something else shows it too. */
  at?: number;
  goTo?: (at: number) => void;
  onWrite?: (written: readonly Ticked[]) => void;
  /** What was written last is taken back. */
  onUndo?: () => void;
  /** How what is done is chosen, where it is. */
  children: ReactNode;
}) {
  const units = useUnits();
  const [shown, setShown] = useState<number | null>(null);
  const [byPlant, setByPlant] = useState(false);
  const head = useRef<HTMLDivElement>(null);
  const [lastStep, setLastStep] = useState<string | null>(null);
  // Told apart, so that what another keeper does meanwhile turns nobody's word round.
  const [out, setOut] = useState<readonly string[]>([]);
  const [asked, setAsked] = useState<readonly string[]>([]);
  const group = useGroup(plants);
  const form = useForm<{ at: string; note: string }>({ defaultValues: { at: now, note: "" } });
  const reading = useReadCautions();
  const byId = new Map(plants.map((plant) => [plant.plantId, plant]));
  const potOf = (plantId: string) => byId.get(plantId)!.bearer.potCm;
  const done = doneIn(steps, group.record);
  const keyOf = (step: NamedStep, { plantId }: SessionLine) => `${step.id} ${plantId}`;
  const isDone = (i: number, { plantId }: SessionLine) => done[i]!.has(plantId);
  /** Whoever has had it already, or need not have it, has it when that is asked for; everyone else unless they are taken out. */
  const isAsked = (i: number, line: SessionLine) =>
    isDone(i, line) || steps[i]!.optional === true || line.label.length > 0;
  const isTicked = (i: number, line: SessionLine) => {
    const key = keyOf(steps[i]!, line);
    return !line.refused && (isAsked(i, line) ? asked.includes(key) : !out.includes(key));
  };
  const left = steps.map((_, i) => steps[i]!.lines.filter((line) => isTicked(i, line)));
  const first = Math.max(
    0,
    left.findIndex((some, i) => some.length > 0 && !steps[i]!.optional),
  );
  const step = Math.min(at ?? shown ?? first, steps.length - 1);
  const show = (i: number) => (goTo ? goTo(i) : setShown(i));
  const several = steps.length > 1;
  const ticked: readonly Ticked[] = left.flatMap((some, i) => some.map((line) => ({ step: steps[i]!, line })));
  const pressed =
    several && byPlant ? ticked.filter((one) => !one.step.optional) : ticked.filter((one) => one.step === steps[step]);
  const taken = ticked.map(({ line }) => line);
  const acts = pressed.flatMap(({ line }) => line.act ?? []);
  const cautions = [...new Set(acts.flatMap((act) => cautionsOfAct(act)))];
  const told = toldBefore([], cautions).map(({ id }) => id);
  const write = (what: string, some: readonly Ticked[]) => {
    const { at: when, note } = form.getValues();
    reading.keep(told);
    group.write(
      what,
      some.map(({ line }) => line),
      form.formState.dirtyFields.at ? when : null,
      note,
    );
    onWrite?.(some);
    const written = new Set(some.map((one) => keyOf(one.step, one.line)));
    setAsked((all) => all.filter((key) => !written.has(key)));
    setLastStep(some[0]?.step.id ?? null);
    // The whole of a step is done: the next one follows.
    if (several && !byPlant && some.length === pressed.length && step < steps.length - 1) show(step + 1);
    // What is to be read before the next press stands at the head.
    if (some.length === pressed.length) head.current?.scrollIntoView({ block: "start" });
  };
  const needed = ticked.filter((one) => !one.step.optional);
  // A programme has reckoned each of its plants as a whole: what is left of it takes its share.
  const minutes = plants.reduce((sum, { plantId, minutes: whole }) => {
    const own = needed.filter(({ line }) => line.plantId === plantId);
    if (whole === null)
      return (
        sum +
        minutesOf(
          own.map(({ line }) => line),
          potOf,
          paces,
        )
      );
    const all = steps.filter((one) => !one.optional && one.lines.some((line) => line.plantId === plantId)).length;
    return sum + (all === 0 ? 0 : (whole * own.length) / all);
  }, 0);
  const hands = new Set(
    needed.flatMap(({ line }) => (byId.get(line.plantId)!.minutes === null && line.act && handsOf(line.act)) || []),
  );
  const timed = [...hands].reduce((sum, one) => sum + (paces[one]?.plants ?? 0), 0);
  const count = new Set(pressed.map(({ line }) => line.plantId)).size;
  const gear = gearFor(
    taken.flatMap(({ act }) => (act ? cautionsOfAct(act) : [])),
    taken.flatMap((line) => line.against.map(({ code }) => code)),
    taken.some(({ act }) => act !== null && isSprayed(act)),
  );
  return (
    <div className="row gx-3">
      <div className="col-lg-5">
        {children && <Panel title="What">{children}</Panel>}
        {taken.length > 0 && (
          <Panel title="Before you start">
            <p className="mb-2">
              {plantsInWords(new Set(taken.map(({ plantId }) => plantId)).size)}, about{" "}
              {hoursInWords(Math.round(minutes))}
              {timed > 0 && `, at the speed you worked on ${plantsInWords(timed)}`}.
            </p>
            {cansOf(taken, potOf).map(({ mix, plants: n, volumeMl, buckets }) => (
              <details key={`${mix} ${buckets}`} className="mb-2">
                <summary>
                  {buckets === null
                    ? `${mixNames[mix]}: ${volumeIn(volumeMl, units)} for ${plantsInWords(n)}`
                    : `${mixNames[mix]}, to soak in: ${buckets === 1 ? "one bucket" : `${buckets} buckets`} of 5 L for ${plantsInWords(n)}`}
                </summary>
                {buckets !== null && buckets > 1 && <p className="small mb-1">One bucket:</p>}
                <Amounts mix={mix} totalMl={buckets ? volumeMl / buckets : volumeMl} measuring={measuring} />
              </details>
            ))}
            {gear.length > 0 && (
              <ul className="gear">
                {gear.map((id) => (
                  <li key={id}>{gearNames[id]}</li>
                ))}
              </ul>
            )}
          </Panel>
        )}
        <TimeAndNote form={form} noteLabel="Note, for all of them" />
        {group.pressed > 0 && <Afterwards plants={plants} />}
      </div>
      <div className="col-lg-7" ref={head}>
        <Panel title={several ? (byPlant ? "Plant by plant" : "Step by step") : "Plant by plant, or all of them"}>
          <NotSentYet />
          <fieldset className="no-box" disabled={!group.ready}>
            {several && (
              <>
                <div className="d-flex flex-wrap gap-2 mb-2" role="group" aria-label="In which order">
                  {[false, true].map((one) => (
                    <button
                      key={String(one)}
                      type="button"
                      className={`btn btn-sm ${one === byPlant ? "btn-primary" : "btn-outline-primary"}`}
                      aria-pressed={one === byPlant}
                      onClick={() => setByPlant(one)}
                    >
                      {one ? "Plant by plant" : "Step by step"}
                    </button>
                  ))}
                </div>
                {!byPlant && (
                  <ol className="session-steps" aria-label="Steps">
                    {steps.map(({ id, name, lines, optional }, i) => (
                      <li key={id}>
                        <button
                          type="button"
                          className={`btn ${i === step ? "btn-primary" : "btn-outline-primary"}`}
                          aria-current={i === step ? "step" : undefined}
                          onClick={() => show(i)}
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
                )}
              </>
            )}
            {group.last && (
              <Alert variant="success" role="status" className="d-flex flex-wrap gap-2 align-items-center">
                <span className="flex-grow-1">
                  {several && `${group.last.what}: `}
                  {several ? "recorded" : "Recorded"} for{" "}
                  {plantsInWords(new Set(group.last.facts.map(({ plantId }) => plantId)).size)}.
                </span>
                <Button
                  size="sm"
                  variant="outline-primary"
                  onClick={() => {
                    group.undo();
                    onUndo?.();
                    // Back to what was taken back.
                    if (!byPlant)
                      show(
                        Math.max(
                          0,
                          steps.findIndex(({ id }) => id === lastStep),
                        ),
                      );
                  }}
                >
                  Undo
                </Button>
                <Link className="btn btn-sm btn-outline-primary" href="/today">
                  Back to Today
                </Link>
              </Alert>
            )}
            {!byPlant && steps[step]?.how && <p className="fw-semibold mb-2">{steps[step].how}.</p>}
            {/* Before the presses, and of this step alone: what follows has its own. */}
            {cautions.length > 0 && <CautionList against={[]} cautions={cautions} />}
            {several && byPlant ? (
              <ul className="list-unstyled mb-0">
                {plants
                  .map((plant) => ({ plant, some: pressed.filter(({ line }) => line.plantId === plant.plantId) }))
                  .filter(({ some }) => some.length > 0)
                  .map(({ plant, some }) => (
                    <PlantRow key={plant.plantId} plant={plant} some={some} onDone={() => write(plant.code, some)} />
                  ))}
              </ul>
            ) : (
              <>
                <p className="small">
                  {steps[step]?.optional
                    ? "Tick the plants you did."
                    : "Untick plants you leave out. Plants that do not tolerate it are left out already."}
                </p>
                <ul className="list-unstyled mb-0">
                  {steps[step]?.lines.map((line) => (
                    <Row
                      key={line.plantId}
                      plant={byId.get(line.plantId)!}
                      line={line}
                      done={isDone(step, line)}
                      ticked={isTicked(step, line)}
                      onTick={() =>
                        (isAsked(step, line) ? setAsked : setOut)((all) => toggled(all, keyOf(steps[step]!, line)))
                      }
                      onDone={() => write(byId.get(line.plantId)!.code, [{ step: steps[step]!, line }])}
                    />
                  ))}
                </ul>
              </>
            )}
            <div className={told.every((id) => reading.ids.includes(id)) ? "sticky-press" : undefined}>
              <Button
                className="big w-100"
                disabled={count === 0}
                onClick={() => write(byPlant ? "Everything" : (steps[step]?.name ?? ""), pressed)}
              >
                {count === 0
                  ? several && taken.length === 0
                    ? "All done"
                    : "Nothing left"
                  : `${several && !byPlant ? `${steps[step]!.name}: all done` : count === 1 ? "Done" : "All done"}: ${plantsInWords(count)}`}
              </Button>
            </div>
          </fieldset>
        </Panel>
      </div>
    </div>
  );
}
