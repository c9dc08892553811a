"use client";

import { useMemo, useState } from "react";
import Button from "react-bootstrap/Button";
import { priorsFor } from "@/core/advice/diagnosis/priors";
import { skipReasons, type SkipReason } from "@/core/record/facts/kinds/skip";
import { ONE_SIDE } from "@/core/model/inspection/see";
import { toolIds, type ToolId } from "@/core/model/inspection/tools";
import type { SpotId } from "@/core/knowledge/plants/spots";
import { leafSample } from "@/core/advice/walks/leaves";
import { meterOf } from "@/core/advice/walks/meter";
import { placesByRisk, placesOfRound } from "@/core/advice/walks/places";
import type { Stop, WalkView } from "@/operations/walks/queries/readWalk";
import { SpotsPicker } from "@/ui/forms/SpotsPicker";
import { Flower } from "@/ui/mark/Flower";
import { toggled } from "@/ui/toggled";
import { growthFormNames, toolNames } from "@/wording/names/names";
import { stateInWords } from "@/wording/names/states";
import { skipReasonNames } from "@/wording/names/walks";
import { ScreenHeading } from "../../_parts/ScreenHeading";
import { TakeCare } from "../../_parts/TakeCare";
import type { LookInput } from "../../_parts/useWalk";
import { EffortMeter } from "./EffortMeter";
import { LastTime } from "./LastTime";
import { noNotes, noteOf, StopNotes } from "./StopNotes";
import { useWalkKeys } from "./useWalkKeys";
import { named } from "@/ui/fields/options";
import { SelectBox } from "@/ui/fields/SelectBox";

/** One plant: where to look, what it is worth, and the one press for "nothing found". */
export function StopScreen({
  stop,
  view,
  group,
  active,
  ready,
  onClean,
  onFound,
  onSkip,
}: {
  stop: Stop;
  view: WalkView;
  group: string;
  /** False while what was found is being named; what was pressed here waits. */
  active: boolean;
  /** Whether presses count yet. */
  ready: boolean;
  onClean: (effort: LookInput) => void;
  onFound: (effort: LookInput) => void;
  onSkip: (reason: SkipReason) => void;
}) {
  const { walk } = view;
  const place = view.places.find((one) => one.id === stop.placeId);
  const { circumstances } = stop;
  const { form, meanC } = circumstances;
  const priors = useMemo(() => priorsFor(circumstances), [circumstances]);
  const order = useMemo(() => placesByRisk(form, priors), [form, priors]);
  const round = stop.round ?? walk.round;
  const [ticked, setTicked] = useState<readonly SpotId[]>(() => placesOfRound(form, priors, round));
  const [turned, setTurned] = useState(round !== "own");
  const [tool, setTool] = useState<ToolId>(stop.tool ?? walk.tool);
  const [notes, setNotes] = useState(noNotes);
  const [problem, setProblem] = useState("");
  const [skipping, setSkipping] = useState(false);
  const meter = useMemo(
    () => meterOf(form, meanC, priors, { tool, spots: ticked }, turned ? 1 : ONE_SIDE),
    [form, meanC, priors, tool, ticked, turned],
  );
  const sample = leafSample(form, stop.potCm, tool);

  const press = (spot: SpotId) => {
    setProblem("");
    setTicked((all) => toggled(all, spot));
  };
  const turn = () => setTurned((on) => !on);
  const skip = () => setSkipping((on) => !on);
  const effort = (): LookInput => ({ tool, spots: ticked, turned, note: noteOf(notes), finds: [], naming: null });
  const clean = () => {
    if (ticked.length === 0) return setProblem("First press the places you looked at.");
    onClean(effort());
  };
  const found = () => onFound(effort());
  const digits = order.slice(0, 9).map((spot, i) => [`${i + 1}`, () => press(spot)]);
  useWalkKeys(active && ready ? { n: clean, f: found, x: skip, v: turn, ...Object.fromEntries(digits) } : {});

  return (
    <div className="walk-stop" hidden={!active}>
      <section className="walk-body">
        <div className="walk-plant">
          <Flower state={stop.state} petals={stop.petals} apart={stop.apart} silent />
          <div>
            <ScreenHeading>
              {stop.code} {stop.name}
            </ScreenHeading>
            <div className="small">
              {place?.name} ·{" "}
              {stateInWords(stop.state, stop.petals, stop.apart, { lastLookOn: stop.last?.day ?? null })} · group:{" "}
              {group}
            </div>
          </div>
        </div>
        <TakeCare of={stop.sensitivities} />
        <LastTime stop={stop} />
        <SpotsPicker form={form} order={order} ticked={ticked} onPress={press}>
          <button type="button" className="spot far-side" aria-pressed={turned} onClick={turn}>
            Turned: far side seen too
          </button>
        </SpotsPicker>
        {sample && (
          <p className="small mb-0">
            {sample.examine !== null ? (
              <>
                Many leaves: {sample.examine} of about {sample.of}, from all over the plant, show a pest on one leaf in
                five with 95&nbsp;% certainty.
              </>
            ) : (
              <>
                Many leaves: {toolNames[tool].toLowerCase()} cannot reliably show a pest on one leaf in five, however
                many leaves you turn.{sample.withTool && ` ${toolNames[sample.withTool]} can.`}
              </>
            )}
          </p>
        )}
        <SelectBox
          className="mb-2"
          label="How you looked"
          value={tool}
          options={named(toolIds, toolNames)}
          onPick={setTool}
        />
        <StopNotes notes={notes} onChange={setNotes} />
        <p className="small text-body-secondary mt-2 mb-0">{growthFormNames[form]}</p>
      </section>
      <footer className="walk-foot">
        {problem && (
          <p className="text-danger-emphasis fw-semibold mb-1" role="alert">
            {problem}
          </p>
        )}
        {skipping && (
          <div className="d-flex flex-wrap gap-2 mb-2" role="group" aria-label="Why you skip it">
            {skipReasons.map((reason) => (
              <Button key={reason} variant="outline-primary" onClick={() => onSkip(reason)}>
                {skipReasonNames[reason]}
              </Button>
            ))}
          </div>
        )}
        <EffortMeter meter={meter} priors={priors} />
        <div className="walk-presses">
          <Button variant="outline-primary" className="big" aria-expanded={skipping} onClick={skip}>
            Skip
          </Button>
          <Button variant="outline-danger" className="big" onClick={found}>
            Found something
          </Button>
          <Button className="big" onClick={clean}>
            Nothing found, next
          </Button>
        </div>
      </footer>
    </div>
  );
}
