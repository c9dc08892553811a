"use client";

import { Check, Circle } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import type { UseFormReturn } from "react-hook-form";
import { v7 as uuidv7 } from "uuid";
import type { z } from "zod";
import { recordActAction } from "@/app/_parts/actions";
import { cautionsOfAct } from "@/core/acts/acts";
import { workOf } from "@/core/acts/works";
import { recordAct } from "@/core/record/facts/kinds/act";
import { potForRoots } from "@/core/knowledge/roots/pots";
import { dryDaysFor, mediumIds, mediumOf, stepsFor, type UnpottingStepId } from "@/core/knowledge/roots/unpotting";
import { actObjections } from "@/core/advice/tolerance/actObjections";
import type { TreatedPlant } from "@/core/advice/tolerance/treatedPlant";
import { AlreadyDone } from "@/ui/acts/AlreadyDone";
import { CautionList } from "@/ui/Cautions";
import { SubmitRow } from "@/ui/fields/fields";
import { choice, FieldList, quantity, select } from "@/ui/fields/FieldList";
import { named } from "@/ui/fields/options";
import { TimeAndNote } from "@/ui/fields/TimeAndNote";
import { useCommand } from "@/ui/fields/useCommand";
import { Panel } from "@/ui/Panel";
import { mediumNames } from "@/wording/names/acts";
import { drySentence, unpottingSteps } from "@/wording/advice/seasons/roots";
import { widthIn, type Units } from "@/wording/units";
import { useUnits } from "@/ui/shell/Collection";

interface Props {
  plantId: string;
  bearer: TreatedPlant;
  cases: readonly { readonly id: string; readonly name: string }[];
  /** The case it is most likely for, and the planned step of it that it carries out; empty for none. */
  caseId: string;
  stepId: string;
  now: string;
  /** Days until a plant that rests dry grows again; 0 for one that does not rest. */
  untilSpringDays: number;
  /** Where to go when it is written down. */
  then: string;
}

/** What is asked for of all that an act may hold. */
interface Asked {
  readonly caseId: string;
  readonly act: { readonly roots: { readonly leftPercent: number; readonly potCm: number; readonly medium: string } };
}

const lefts = [
  [100, "All"],
  [75, "Three quarters"],
  [50, "Half"],
  [33, "A third"],
  [20, "A fifth"],
  [10, "Hardly any"],
] as const;

/** Unpotting as a list to go down with wet hands: what was pressed stays pressed, whatever comes between. */
export function Unpotting({ plantId, bearer, cases, caseId, stepId, now, untilSpringDays, then }: Props) {
  const router = useRouter();
  const units = useUnits();
  const [done, press, forget] = useTicks(`unpot ${plantId}`);
  const [left, setLeft] = useState(100);
  const steps = stepsFor(bearer);
  const act = workOf("unpot").act(bearer);
  const potCm = potForRoots(bearer.potCm, left / 100);
  const dryDays = dryDaysFor(bearer.form, untilSpringDays);
  const against = actObjections(act, bearer);
  const refused = against.some(({ level }) => level === "refuse");
  const { form, submit, trouble } = useCommand({
    schema: recordAct,
    action: recordActAction,
    defaults: () => ({
      ...{ id: uuidv7(), plantId, placeId: "", caseId, stepId },
      act: {
        ...act,
        roots: { leftPercent: 100, potCm: bearer.potCm, dryDays, medium: mediumOf(bearer.form) },
      } as z.input<typeof recordAct>["act"],
      ...{ at: now, note: "", alreadyDone: false },
    }),
    done: () => {
      forget();
      router.push(then);
      router.refresh();
    },
  });
  const asked = form as unknown as UseFormReturn<Asked>;
  const choose = (percent: number) => {
    setLeft(percent);
    asked.setValue("act.roots.leftPercent", percent);
    asked.setValue("act.roots.potCm", potForRoots(bearer.potCm, percent / 100));
  };
  const next = steps.find((id) => !done.includes(id));
  return (
    <div className="row gx-3">
      <div className="col-lg-7">
        <CautionList against={against} cautions={cautionsOfAct(act)} />
        <ol className="list-unstyled">
          {steps.map((id) => {
            const is = done.includes(id);
            const Icon = is ? Check : Circle;
            return (
              <li key={id}>
                <button
                  type="button"
                  className={`step-line ${id === next ? "now" : ""}`}
                  aria-pressed={is}
                  aria-current={id === next ? "step" : undefined}
                  onClick={() => press(id)}
                >
                  <Icon className="flex-shrink-0" size={24} aria-hidden />
                  <span>
                    {id === "dry" ? drySentence(dryDays) : unpottingSteps[id]}
                    {id === "pot" &&
                      ` To suit what is left of the roots: ${widthIn(potCm, units)}, ${potTells(potCm, bearer.potCm, units)}.`}
                  </span>
                </button>
              </li>
            );
          })}
        </ol>
      </div>
      <div className="col-lg-5">
        <Panel title="Done">
          <form onSubmit={submit} noValidate>
            <fieldset className="mb-3">
              <legend className="fs-6 fw-semibold mb-1">What is left of the roots</legend>
              <div className="d-flex flex-wrap gap-2">
                {lefts.map(([percent, name]) => (
                  <button
                    key={percent}
                    type="button"
                    className={`btn ${left === percent ? "btn-primary" : "btn-outline-primary"}`}
                    aria-pressed={left === percent}
                    onClick={() => choose(percent)}
                  >
                    {name}
                  </button>
                ))}
              </div>
            </fieldset>
            <FieldList
              form={asked}
              fields={[
                quantity(
                  "act.roots.potCm",
                  "width",
                  "New pot, width",
                  `Worked out: ${widthIn(potCm, units)}. Enter the one you used.`,
                ),
                select("act.roots.medium", "New medium", named(mediumIds, mediumNames)),
                cases.length > 0 &&
                  choice("caseId", "Against", [...cases.map(({ id, name }) => [id, name] as const), ["", "No case"]]),
              ]}
            />
            <TimeAndNote form={form} />
            {refused && <AlreadyDone form={form} />}
            {next && <p className="mb-2">Not ticked yet: {steps.filter((id) => !done.includes(id)).length} steps.</p>}
            <SubmitRow form={form} trouble={trouble} label="Unpotted and washed" />
          </form>
        </Panel>
      </div>
    </div>
  );
}

function potTells(potCm: number, before: number, units: Units): string {
  return potCm < before ? `narrower than its ${widthIn(before, units)}` : "as wide as before";
}

/** Which steps were pressed, kept in this browser until the act is written down. */
function useTicks(key: string): readonly [UnpottingStepId[], (id: UnpottingStepId) => void, () => void] {
  const [done, setDone] = useState<UnpottingStepId[]>([]);
  useEffect(() => {
    const kept = localStorage.getItem(key);
    // eslint-disable-next-line react-hooks/set-state-in-effect -- what the browser keeps is not known when the page is made
    if (kept) setDone(kept.split(" ") as UnpottingStepId[]);
  }, [key]);
  const press = (id: UnpottingStepId) => {
    const next = done.includes(id) ? done.filter((one) => one !== id) : [...done, id];
    setDone(next);
    localStorage.setItem(key, next.join(" "));
  };
  return [done, press, () => localStorage.removeItem(key)];
}
