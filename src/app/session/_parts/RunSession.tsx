"use client";

import { useRef, useState, type ReactNode } from "react";
import Button from "react-bootstrap/Button";
import { useForm } from "react-hook-form";
import { NotSentYet } from "@/app/_parts/NotSentYet";
import { cautionsOfAct } from "@/core/acts/acts";
import type { Level } from "@/core/advice/household/cupboard";
import type { Day } from "@/core/shared/days";
import type { Paces } from "@/core/advice/sessions/pace";
import { toldBefore } from "@/core/advice/tolerance/cautionsRead";
import type { GroupPlant } from "@/operations/sessions/sessionView";
import type { Measuring } from "@/ui/Amounts";
import { CautionList } from "@/ui/Cautions";
import { TimeAndNote } from "@/ui/fields/TimeAndNote";
import { Panel } from "@/ui/Panel";
import { useReadCautions } from "@/ui/readCautions";
import { plantsInWords } from "@/wording/names/plants";
import { Afterwards } from "./Afterwards";
import { BeforeYouStart } from "./BeforeYouStart";
import { LastPress } from "./LastPress";
import { PlantByPlant } from "./PlantByPlant";
import type { NamedStep, Ticked } from "./Rows";
import { StepRows, Steps } from "./StepByStep";
import { useGroup } from "./useGroup";
import { useTicks } from "./useTicks";

/** What every session is given. */
export interface RunProps {
  readonly plants: readonly GroupPlant[];
  readonly measuring: Measuring;
  /** The moment it is, as a form shows it. */
  readonly now: string;
  readonly paces: Paces;
  readonly levels: readonly Level[];
  /** The address under which each planned step has a page of its own, for what went differently; left out where nothing is planned. */
  readonly stepPages?: string;
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
  levels,
  stepPages,
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
  const [shown, setShown] = useState<number | null>(null);
  const [chosenWay, setByPlant] = useState(false);
  const head = useRef<HTMLDivElement>(null);
  const [lastStep, setLastStep] = useState<string | null>(null);
  const group = useGroup(plants);
  const form = useForm<{ at: string; note: string }>({ defaultValues: { at: now, note: "" } });
  const reading = useReadCautions();
  const byId = new Map(plants.map((plant) => [plant.plantId, plant]));
  const ticks = useTicks(steps, group.record);
  const { ticked, toGo } = ticks;
  const several = steps.length > 1;
  const first = Math.max(
    0,
    steps.findIndex((step) => !step.optional && ticked.some((one) => one.step === step)),
  );
  const at0 = Math.min(at ?? shown ?? first, steps.length - 1);
  const step = steps[at0]!;
  const show = (i: number) => (goTo ? goTo(i) : setShown(i));
  const everyOne = steps.every(({ oneByOne }) => oneByOne);
  const byPlant = everyOne || chosenWay;
  /** Whether one plant is shown at a time: the keeper's choice, or the nature of the step. */
  const single = byPlant || step.oneByOne === true;
  const ofStep = (one: Ticked) => one.step === step;
  const pressed = byPlant
    ? toGo.filter((one) => !one.step.optional)
    : single
      ? toGo.filter(ofStep)
      : ticked.filter(ofStep);
  const acts = pressed.flatMap(({ line }) => line.act ?? []);
  const cautions = [...new Set(acts.flatMap((act) => cautionsOfAct(act)))];
  const cautionIds = toldBefore([], cautions).map(({ id }) => id);
  // Cautions that are new are read on the way to the press.
  const sticky = cautionIds.every((id) => reading.ids.includes(id));
  const write = (what: string, some: readonly Ticked[]) => {
    const { at: when, note } = form.getValues();
    reading.keep(cautionIds);
    const lines = some.map(({ line }) => line);
    group.write(what, lines, form.formState.dirtyFields.at ? when : null, note);
    onWrite?.(some);
    ticks.written(some);
    setLastStep(some[0]?.step.id ?? null);
    const whole = some.length === pressed.length;
    // The whole of a step is done: the next one follows.
    if (several && !byPlant && whole && at0 < steps.length - 1) show(at0 + 1);
    // What is to be read before the next press stands at the head.
    if (whole) head.current?.scrollIntoView({ block: "start" });
  };
  const undo = () => {
    group.undo();
    onUndo?.();
    // Back to what was taken back.
    const back = steps.findIndex(({ id }) => id === lastStep);
    if (!byPlant) show(Math.max(0, back));
  };
  const go = (toPlants: boolean) => {
    setByPlant(toPlants);
    head.current?.scrollIntoView({ block: "start" });
  };
  const count = new Set(pressed.map(({ line }) => line.plantId)).size;
  const last = group.last?.facts.at(-1);
  return (
    <div className="row gx-3">
      <div className="col-lg-5">
        {children && <Panel title="What">{children}</Panel>}
        <BeforeYouStart
          plants={plants}
          steps={steps}
          ticked={byPlant ? pressed : ticked}
          paces={paces}
          levels={levels}
          measuring={measuring}
          day={now.slice(0, 10) as Day}
        />
        <TimeAndNote form={form} noteLabel="Note, for all of them" />
      </div>
      <div className="col-lg-7" ref={head}>
        <Panel title={byPlant ? "Plant by plant" : several ? "Step by step" : "All of them"}>
          <NotSentYet />
          <fieldset className="no-box" disabled={!group.ready}>
            {!everyOne && <Ways byPlant={byPlant} several={several} onChoose={go} />}
            {several && !byPlant && <Steps steps={steps} at={at0} done={ticks.done} onShow={show} />}
            {group.last && <LastPress last={group.last} named={several || single} onUndo={undo} onTimer={group.time} />}
            {!single && step.how && <p className="fw-semibold mb-2">{step.how}.</p>}
            {/* Before the presses, where every change of step leads, and of this step alone: what follows has its own. */}
            {cautions.length > 0 && <CautionList against={[]} cautions={cautions} />}
            {single ? (
              <PlantByPlant
                key={byPlant ? "all" : step.id}
                plants={plants}
                steps={byPlant ? steps : [step]}
                toGo={byPlant ? toGo : toGo.filter(ofStep)}
                last={last ? byId.get(last.plantId)! : null}
                stepPages={stepPages}
                sticky={sticky}
                onDone={(plant, some) => write(plant.code, some)}
              />
            ) : (
              <>
                <StepRows
                  step={step}
                  at={at0}
                  ticks={ticks}
                  byId={byId}
                  onDone={(line) => write(byId.get(line.plantId)!.code, [{ step, line }])}
                />
                <div className={sticky ? "sticky-press" : undefined}>
                  <Button className="big w-100" disabled={count === 0} onClick={() => write(step.name, pressed)}>
                    {pressInWords(count, several ? step.name : null, ticked.length === 0)}
                  </Button>
                </div>
              </>
            )}
          </fieldset>
        </Panel>
        {/* Whoever goes from plant to plant cleans up at the end; what was pressed there is known until then. */}
        <div hidden={group.pressed === 0 || (single && count > 0)}>
          <Afterwards plants={plants} />
        </div>
      </div>
    </div>
  );
}

function pressInWords(count: number, step: string | null, nothingLeft: boolean): string {
  if (count === 0) return step !== null && nothingLeft ? "All done" : "Nothing left";
  const done = step !== null ? `${step}: all done` : count === 1 ? "Done" : "All done";
  return `${done}: ${plantsInWords(count)}`;
}

/** In which order it is gone through. */
function Ways({
  byPlant,
  several,
  onChoose,
}: {
  byPlant: boolean;
  several: boolean;
  onChoose: (byPlant: boolean) => void;
}) {
  return (
    <div className="d-flex flex-wrap gap-2 mb-2" role="group" aria-label="In which order">
      {[false, true].map((one) => (
        <button
          key={String(one)}
          type="button"
          className={`btn btn-sm ${one === byPlant ? "btn-primary" : "btn-outline-primary"}`}
          aria-pressed={one === byPlant}
          onClick={() => onChoose(one)}
        >
          {one ? "Plant by plant" : several ? "Step by step" : "All at once"}
        </button>
      ))}
    </div>
  );
}
