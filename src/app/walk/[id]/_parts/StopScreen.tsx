"use client";

import { useMemo, useState } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { priorsFor } from "@/core/diagnosis/priors";
import { skipReasons, type SkipReason } from "@/core/facts/deeds";
import { toolIds, type ToolId } from "@/core/inspection/tools";
import { pestIds } from "@/core/pests/pests";
import type { SpotId } from "@/core/plants/spots";
import { leafSample } from "@/core/walk/leaves";
import { meterOf, ONE_SIDE } from "@/core/walk/meter";
import { placesByRisk, placesOfRound } from "@/core/walk/places";
import type { Stop, WalkView } from "@/operations/readWalk";
import { SpotsPicker } from "@/ui/forms/SpotsPicker";
import { Flower } from "@/ui/mark/Flower";
import { percent } from "@/wording/chances";
import { dayInWords } from "@/wording/dates";
import { growthFormNames, pestNames, toolNames } from "@/wording/names";
import { stateInWords } from "@/wording/states";
import { readyPhrases, skipReasonNames } from "@/wording/walks";
import type { LookInput } from "../../_parts/useWalk";
import { useWalkKeys } from "./useWalkKeys";
import { ScreenHeading } from "../../_parts/ScreenHeading";

/** A pest less likely than this is not worth a word under the meter. */
const WORTH_A_WORD = 0.05;

/** One plant: where to look, what it is worth, and the one press for "nothing found". */
export function StopScreen({
  stop,
  view,
  group,
  onClean,
  onFound,
  onSkip,
}: {
  stop: Stop;
  view: WalkView;
  group: string;
  onClean: (effort: LookInput) => void;
  onFound: (effort: LookInput) => void;
  onSkip: (reason: SkipReason) => void;
}) {
  const { walk, season } = view;
  const place = view.places.find((one) => one.id === stop.placeId);
  const meanC = place?.meanC ?? 22;
  const { growthForm: form, nearby } = stop;
  const priors = useMemo(() => priorsFor({ form, meanC, season, nearby }), [form, meanC, season, nearby]);
  const order = useMemo(() => placesByRisk(form, priors), [form, priors]);
  const [ticked, setTicked] = useState<readonly SpotId[]>(() => placesOfRound(form, priors, walk.round));
  const [turned, setTurned] = useState(walk.round !== "own");
  const [tool, setTool] = useState<ToolId>(walk.tool);
  const [phrases, setPhrases] = useState<readonly string[]>([]);
  const [typed, setTyped] = useState("");
  const [problem, setProblem] = useState("");
  const [skipping, setSkipping] = useState(false);

  const meter = useMemo(
    () => meterOf(form, meanC, priors, { tool, spots: ticked }, turned ? 1 : ONE_SIDE),
    [form, meanC, priors, tool, ticked, turned],
  );
  const hardest = pestIds
    .filter((pest) => priors[pest] >= WORTH_A_WORD)
    .toSorted((a, b) => meter.of[a] - meter.of[b])[0];
  const sample = leafSample(form, stop.potCm);
  const press = (spot: SpotId) => {
    setProblem("");
    setTicked((all) => (all.includes(spot) ? all.filter((one) => one !== spot) : [...all, spot]));
  };
  const effort = (): LookInput => ({
    tool,
    spots: ticked,
    turned,
    note: [...phrases, typed.trim()].filter(Boolean).join(". "),
    finds: [],
    naming: null,
  });
  const clean = () => {
    if (ticked.length === 0) return setProblem("Press the places you looked at first.");
    onClean(effort());
  };
  useWalkKeys({
    n: clean,
    f: () => onFound(effort()),
    x: () => setSkipping((on) => !on),
    v: () => setTurned((on) => !on),
    ...Object.fromEntries(order.slice(0, 9).map((spot, i) => [`${i + 1}`, () => press(spot)])),
  });

  return (
    <>
      <section className="walk-body">
        <div className="walk-plant">
          <Flower state={stop.state} petals={stop.petals} apart={stop.apart} silent />
          <div>
            <ScreenHeading>
              {stop.code} {stop.name}
            </ScreenHeading>
            <div className="small">
              {place?.name} · {stateInWords(stop.state, stop.petals, stop.apart)} · group: {group}
            </div>
          </div>
        </div>
        <LastTime stop={stop} />
        <SpotsPicker form={form} order={order} ticked={ticked} onPress={press}>
          <button type="button" className="spot far-side" aria-pressed={turned} onClick={() => setTurned((on) => !on)}>
            Turned: the far side, towards wall or window, seen too
          </button>
        </SpotsPicker>
        <div>
          {sample && (
            <p className="small mb-2">
              Many leaves: {sample.examine} of about {sample.of}, from all over the plant, show with 95&nbsp;% a pest
              that sits on one leaf in five.
            </p>
          )}
          <Form.Label htmlFor="tool" className="fw-semibold mb-1">
            With what
          </Form.Label>
          <Form.Select
            id="tool"
            className="mb-2"
            value={tool}
            onChange={(event) => setTool(event.target.value as ToolId)}
          >
            {toolIds.map((id) => (
              <option key={id} value={id}>
                {toolNames[id]}
              </option>
            ))}
          </Form.Select>
          <div className="d-flex flex-wrap gap-2 mb-2" role="group" aria-label="Ready notes">
            {readyPhrases.map((phrase) => (
              <button
                key={phrase}
                type="button"
                className={`btn ${phrases.includes(phrase) ? "btn-primary" : "btn-outline-primary"}`}
                aria-pressed={phrases.includes(phrase)}
                onClick={() =>
                  setPhrases((all) => (all.includes(phrase) ? all.filter((one) => one !== phrase) : [...all, phrase]))
                }
              >
                {phrase}
              </button>
            ))}
          </div>
          <Form.Label htmlFor="note" className="fw-semibold mb-1">
            Note
          </Form.Label>
          <Form.Control
            id="note"
            maxLength={1500}
            autoComplete="off"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
          <p className="small text-body-secondary mt-2 mb-0">{growthFormNames[form]}</p>
        </div>
      </section>
      <footer className="walk-foot">
        {problem && (
          <p className="text-danger-emphasis fw-semibold mb-1" role="alert">
            {problem}
          </p>
        )}
        {skipping && (
          <div className="d-flex flex-wrap gap-2 mb-2" role="group" aria-label="Why it is left out">
            {skipReasons.map((reason) => (
              <Button key={reason} variant="outline-primary" onClick={() => onSkip(reason)}>
                {skipReasonNames[reason]}
              </Button>
            ))}
          </div>
        )}
        <div className="meter">
          <div className="meter-bar" aria-hidden>
            <div style={{ width: `${meter.shown * 100}%` }} />
          </div>
          <p className="mb-0" role="status">
            A light infestation would have shown: <strong>{percent(meter.shown)}</strong>
            {hardest && ticked.length > 0 && `; ${pestNames[hardest].toLowerCase()} only ${percent(meter.of[hardest])}`}
          </p>
        </div>
        <div className="walk-presses">
          <Button
            variant="outline-primary"
            className="big"
            aria-expanded={skipping}
            onClick={() => setSkipping((on) => !on)}
          >
            Skip
          </Button>
          <Button variant="outline-danger" className="big" onClick={() => onFound(effort())}>
            Found something
          </Button>
          <Button className="big" onClick={clean}>
            Nothing found, next
          </Button>
        </div>
      </footer>
    </>
  );
}

/** What was here last time, and the marks that stay. */
function LastTime({ stop: { last, scars, openCases } }: { stop: Stop }) {
  const names = (pests: Stop["scars"]) => pests.map((pest) => pestNames[pest].toLowerCase()).join(" and ");
  return (
    <div className="walk-last small">
      {last
        ? `Last look ${dayInWords(last.day)}, ${toolNames[last.tool].toLowerCase()}: ${last.pests.length > 0 ? `${names(last.pests)} found` : "nothing"}. ${last.note}`
        : "Never looked at before."}
      {openCases.length > 0 && ` In a case: ${names(openCases.map((one) => one.pest))}.`}
      {scars.length > 0 && ` It has had ${names(scars)}: old marks stay, judge by new growth.`}
    </div>
  );
}
