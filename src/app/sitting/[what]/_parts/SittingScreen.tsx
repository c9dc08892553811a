"use client";

import { Link } from "@/ui/Link";
import { useState } from "react";
import Button from "react-bootstrap/Button";
import { NotSentYet } from "@/app/_parts/NotSentYet";
import { ScreenProgress } from "@/app/_parts/ScreenProgress";
import { Timers } from "@/app/_parts/timers/Timers";
import { cautionsOfAct, timersAfter, withNoneSeen, type Act } from "@/core/acts/acts";
import { gearFor, isSprayed } from "@/core/advice/tolerance/gear";
import { mixOf } from "@/core/advice/evening/bath";
import { isMix } from "@/core/knowledge/mixes/mixes";
import { spotsOf } from "@/core/knowledge/plants/growthForms";
import type { SpotId } from "@/core/knowledge/plants/spots";
import { actObjections } from "@/core/advice/tolerance/actObjections";
import { groupOf } from "@/core/advice/walks/order";
import type { SittingLine, SittingView } from "@/operations/sessions/queries/readSitting";
import type { ShownTimer } from "@/operations/acts/queries/readTimers";
import { Amounts, type Measuring } from "@/ui/Amounts";
import { CautionList } from "@/ui/Cautions";
import { SpotsPicker } from "@/ui/forms/SpotsPicker";
import { toggled } from "@/ui/toggled";
import { plannedInWords, sittingName } from "@/wording/names/acts";
import { volumeIn } from "@/wording/units";
import { gearNames, objectionSentences } from "@/wording/advice/cautions";
import { labelSentence } from "@/wording/record/problems";
import { pestName } from "@/wording/names/names";
import { offerInWords } from "@/wording/record/timers";
import { groupNames } from "@/wording/names/walks";
import { useSitting, type Done, type SittingInHand } from "./useSitting";
import { useUnits } from "@/ui/shell/Collection";

interface Props {
  view: SittingView;
  measuring: Measuring;
  timers: readonly ShownTimer[];
}

/** One plant at a time, full screen. All plants of the sitting are here already: the next one waits for nothing. */
export function SittingScreen({ view, measuring, timers }: Props) {
  const [begun, setBegun] = useState(false);
  const sitting = useSitting(view.lines);
  const { toGo, done, leftOut } = sitting;
  const all = toGo.length + done.length + leftOut.length;
  const line = toGo[0];
  const last = done.at(-1);
  return (
    <div className="walk">
      <header className="walk-head">
        <Link href="/today" className="btn btn-outline-primary">
          Leave
        </Link>
        <ScreenProgress done={done.length} of={all}>
          {done.length} of {all}
        </ScreenProgress>
        <button type="button" className="btn btn-outline-primary" disabled={!last} onClick={sitting.undo}>
          Undo
        </button>
      </header>
      <NotSentYet />
      <Timers known={timers} />
      {!line ? (
        <Closing view={view} left={leftOut} last={last} onTakeUp={sitting.takeUp} onTimer={sitting.time} />
      ) : !begun ? (
        <fieldset className="no-box" disabled={!sitting.ready}>
          <Before view={view} lines={toGo} measuring={measuring} onBegin={() => setBegun(true)} />
        </fieldset>
      ) : (
        <AtPlant
          key={line.stepId}
          line={line}
          what={view.what}
          last={last}
          onDone={(act) => sitting.carryOut(line, act)}
          onLeave={() => sitting.leaveOut(line)}
          onTimer={sitting.time}
        />
      )}
    </div>
  );
}

/** What is read, put on and mixed once, before the first plant. */
function Before({
  view,
  lines,
  measuring,
  onBegin,
}: {
  view: SittingView;
  lines: readonly SittingLine[];
  measuring: Measuring;
  onBegin: () => void;
}) {
  const units = useUnits();
  const { what } = view;
  // What is still to be done: of a sitting that was broken off no more is mixed than that.
  const { mixMl } = mixOf(lines);
  const cautions = [...new Set(lines.flatMap(({ act }) => cautionsOfAct(act)))];
  const onPlants = lines.flatMap(({ act, bearer }) => actObjections(act, bearer).map(({ code }) => code));
  const gear = gearFor(
    cautions,
    onPlants,
    lines.some(({ act }) => isSprayed(act)),
  );
  return (
    <>
      <section className="walk-body" tabIndex={0} aria-label="The session">
        <h1>{sittingName(what)}</h1>
        <p>
          {lines.length === 1 ? "One plant" : `${lines.length} plants`}
          {mixMl > 0 && `, about ${volumeIn(mixMl, units)} in all`}.
        </p>
        {gear.length > 0 && (
          <>
            <h2 className="fs-5">Wear, and have ready</h2>
            <ul className="gear">
              {gear.map((id) => (
                <li key={id}>{gearNames[id]}</li>
              ))}
            </ul>
          </>
        )}
        <CautionList against={[]} cautions={cautions} />
        {isMix(what) && (
          <>
            <h2 className="fs-5">Mix</h2>
            <Amounts mix={what} totalMl={mixMl} measuring={measuring} />
          </>
        )}
      </section>
      <footer className="walk-foot">
        <div className="walk-presses sitting-presses">
          <Button className="big" onClick={onBegin}>
            Mixed and ready
          </Button>
        </div>
      </footer>
    </>
  );
}

type StartTimer = SittingInHand["time"];

function AtPlant({
  line,
  what,
  last,
  onDone,
  onLeave,
  onTimer,
}: {
  line: SittingLine;
  what: SittingView["what"];
  last: Done | undefined;
  onDone: (act: Act) => void;
  onLeave: () => void;
  onTimer: StartTimer;
}) {
  const units = useUnits();
  const { plant, bearer, act, pest, planned, volumeMl, placeName, stepId, label } = line;
  const [ticked, setTicked] = useState<readonly SpotId[]>("spots" in act ? act.spots : []);
  const [problem, setProblem] = useState("");
  const against = actObjections(act, bearer);
  const refused = against.some(({ level }) => level === "refuse");
  const group = groupOf(plant);
  const border = last && groupOf(last.line.plant) !== group;
  const press = (did: Act) => {
    if ("spots" in did && ticked.length === 0) return setProblem("Press the places you reached first.");
    onDone("spots" in did ? { ...did, spots: [...ticked] } : did);
  };
  const noneSeen = withNoneSeen(act);
  const unpots = "work" in planned && planned.work === "unpot";
  return (
    <div className="walk-stop">
      <section className="walk-body" tabIndex={0} aria-label="The session">
        {border && (
          <p className="sitting-border" role="note">
            Clean hands, clean tools. Next: {groupNames[group]}.
          </p>
        )}
        {last && <Optional done={last} onTimer={onTimer} />}
        <h1>
          {plant.code} {plant.name}
        </h1>
        <p className="mb-2">
          {placeName}. {plannedInWords(planned)}
          {volumeMl > 0 && `, about ${volumeIn(volumeMl, units)}`}. Against {pestName(pest)}.
        </p>
        {(against.length > 0 || label.length > 0) && (
          <ul className="alert alert-warning ps-4">
            {against.map(({ code, level }) => (
              <li key={code} className={level === "refuse" ? "text-danger-emphasis fw-semibold" : undefined}>
                {objectionSentences[code]}
              </li>
            ))}
            {label.map((one) => (
              <li key={one.code}>{labelSentence(one)}</li>
            ))}
          </ul>
        )}
        {"spots" in act && !unpots && (
          <SpotsPicker
            form={bearer.form}
            order={spotsOf(bearer.form)}
            ticked={ticked}
            onPress={(spot) => {
              setProblem("");
              setTicked((all) => toggled(all, spot));
            }}
          />
        )}
        <p className="mt-2 mb-0 d-flex flex-wrap gap-2">
          <Link className="btn btn-outline-primary" href={`/sitting/${what}/${stepId}`}>
            Something went differently
          </Link>
          {unpots && (
            <Link className="btn btn-outline-primary" href={`/plants/${plant.id}/unpot`}>
              Step by step, with the pot size
            </Link>
          )}
        </p>
      </section>
      <footer className="walk-foot">
        {problem && (
          <p className="text-danger-emphasis fw-semibold mb-1" role="alert">
            {problem}
          </p>
        )}
        <div className="walk-presses sitting-presses">
          <Button variant="outline-primary" className="big" onClick={onLeave}>
            Not now
          </Button>
          {noneSeen && (
            <Button variant="outline-primary" className="big" onClick={() => press(noneSeen)}>
              None seen, next
            </Button>
          )}
          <Button className="big" disabled={refused} onClick={() => press(act)}>
            As planned, next
          </Button>
        </div>
      </footer>
    </div>
  );
}

/** What was started by itself after the last plant, and what may be started: practitioners disagree. */
function Optional({ done, onTimer }: { done: Done; onTimer: StartTimer }) {
  const started = done.timers.map(({ what }) => what);
  const offered = timersAfter(done.act).filter(({ optional, what }) => optional && !started.includes(what));
  if (offered.length === 0) return null;
  return (
    <p className="d-flex flex-wrap gap-2 align-items-center mb-2">
      {done.line.plant.code}:
      {offered.map((timer) => (
        <Button key={timer.what} size="sm" variant="outline-primary" onClick={() => onTimer(done, timer)}>
          {offerInWords(timer)}
        </Button>
      ))}
    </p>
  );
}

const closing = [
  "Leftover mix: what you made today is useless tomorrow. Dispose of it by local rules, never down the drain.",
  "Wash bottle, brush and tools, and wipe them with alcohol.",
  "Wipe the shelf, pot rims and saucers with soapy water.",
  "Bag the waste and put it in the household bin, away from the plants.",
  "Wash hands and sleeves before you touch another plant.",
];

/** Nothing is left: what is cleaned up, and what was left for later. */
function Closing({
  view,
  left,
  last,
  onTakeUp,
  onTimer,
}: {
  view: SittingView;
  left: readonly SittingLine[];
  last: Done | undefined;
  onTakeUp: () => void;
  onTimer: StartTimer;
}) {
  return (
    <>
      <section className="walk-body" tabIndex={0} aria-label="The session">
        <h1>{sittingName(view.what)}: done</h1>
        {last && <Optional done={last} onTimer={onTimer} />}
        {left.length > 0 && (
          <p>
            Left for later, and still due: {left.map(({ plant }) => plant.code).join(", ")}.{" "}
            <Button size="sm" variant="outline-primary" onClick={onTakeUp}>
              Do them now
            </Button>
          </p>
        )}
        <h2 className="fs-5">Clean up</h2>
        <ul>
          {closing.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ul>
      </section>
      <footer className="walk-foot">
        <div className="walk-presses sitting-presses">
          <Link className="btn btn-primary big" href="/today">
            Back to Today
          </Link>
        </div>
      </footer>
    </>
  );
}
