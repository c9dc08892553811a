"use client";

import { Link } from "@/ui/Link";
import { useState } from "react";
import { NotSentYet } from "@/app/_parts/NotSentYet";
import { ScreenProgress } from "@/app/_parts/ScreenProgress";
import { Timers } from "@/app/_parts/timers/Timers";
import { groupOf, isBorder } from "@/core/advice/walks/order";
import { secondsLeft } from "@/core/advice/walks/timeLeft";
import type { ShownTimer } from "@/operations/acts/queries/readTimers";
import type { Stop, WalkView } from "@/operations/walks/queries/readWalk";
import { groupNames, timeInWords } from "@/wording/names/walks";
import { useWalk, type LookInput } from "../../_parts/useWalk";
import { AfterFind } from "../../_parts/AfterFind";
import { Border } from "./Border";
import { Elsewhere } from "./Elsewhere";
import { FindFlow } from "../../_parts/FindFlow";
import { StopScreen } from "./StopScreen";
import { useWalkKeys } from "./useWalkKeys";
import { WalkEnd } from "./WalkEnd";

/** What is on the screen beside the plant itself. */
type WalkPhase =
  | { readonly what: "looking" }
  | { readonly what: "finding"; readonly stop: Stop; readonly effort: LookInput }
  | { readonly what: "found"; readonly stop: Stop; readonly lookId: string; readonly finds: LookInput["finds"] };

/** One plant at a time, full screen. All plants of the walk are here already: the next one waits for nothing. */
export function WalkScreen({ view, timers }: { view: WalkView; timers: readonly ShownTimer[] }) {
  const walk = useWalk(view);
  const [doing, setDoing] = useState<WalkPhase>({ what: "looking" });
  const [cleaned, setCleaned] = useState("");
  const { toGo, done, found, last } = walk.progress;
  // What is on the screen stays there until something was pressed here: somebody else's press moves nothing away under a finger.
  const [shownId, setShownId] = useState<string | null>(null);
  // Until it is known what an earlier page has done here, whoever seems to be next may have been.
  const { ready } = walk.kept;
  if (ready && shownId === null && toGo[0]) setShownId(toGo[0].id);
  const shown = view.stops.find((stop) => stop.id === shownId);
  const elsewhere =
    shown && doing.what === "looking" ? done.find(({ plant }) => plant.id === shown.id)?.event : undefined;
  const next = shown ?? toGo[0];
  // Only one's own presses are taken back here, and what stood there when the page was opened.
  const [before] = useState(() => new Set(view.events.map(({ id }) => id)));
  const lastEvent = done.findLast(({ event }) => before.has(event.id) || walk.isOwn(event))?.event;
  const border = next && isBorder(last, next, found) ? `${last!.id} ${next.id}` : null;
  const atBorder = border !== null && border !== cleaned;
  const goOn = () => setShownId(null);
  const looking = () => setDoing({ what: "looking" });
  const undo = () => {
    looking();
    // While something is being named nothing is on record yet: there is only the naming to leave.
    if (!lastEvent || doing.what === "finding") return;
    walk.takeBack(lastEvent);
    goOn();
  };
  const clean = () => {
    walk.cleaned();
    setCleaned(border ?? "");
  };
  useWalkKeys({ u: undo, c: atBorder ? clean : undefined });

  return (
    <div className="walk">
      <header className="walk-head">
        <Link href="/walk" className="btn btn-outline-primary">
          Leave
        </Link>
        <ScreenProgress done={done.length} of={view.stops.length}>
          {done.length} of {view.stops.length}
          {toGo.length > 0 && ` · ${timeInWords(secondsLeft(walk.events, toGo.length, view.walk.tool))} left`}
        </ScreenProgress>
        <button
          type="button"
          className="btn btn-outline-primary"
          disabled={!lastEvent && doing.what !== "finding"}
          onClick={undo}
        >
          Undo
        </button>
      </header>
      <NotSentYet />
      <Timers known={timers} />
      {doing.what === "found" ? (
        <AfterFind
          {...doing}
          places={view.places}
          onApart={(placeId) => walk.setApart(doing.stop, placeId)}
          doneLabel="Continue the walk"
          onDone={looking}
        />
      ) : elsewhere ? (
        <Elsewhere stop={shown!} event={elsewhere} onGoOn={goOn} />
      ) : !next ? (
        <WalkEnd view={view} walk={walk} />
      ) : atBorder ? (
        <Border
          group={groupOf(next, found)}
          plants={toGo.filter((stop) => groupOf(stop, found) === groupOf(next, found)).length}
          onCleaned={clean}
        />
      ) : (
        <fieldset className="no-box" disabled={!ready}>
          <StopScreen
            key={next.id}
            stop={next}
            view={view}
            active={doing.what === "looking"}
            ready={ready}
            group={groupNames[groupOf(next, found)]}
            onClean={(effort) => {
              walk.look(next, effort);
              goOn();
            }}
            onFound={(effort) => setDoing({ what: "finding", stop: next, effort })}
            onSkip={(reason) => {
              walk.skip(next, reason);
              goOn();
            }}
          />
          {doing.what === "finding" && (
            <FindFlow
              stop={doing.stop}
              onBack={looking}
              onNothing={(naming) => {
                walk.look(doing.stop, { ...doing.effort, naming });
                looking();
                goOn();
              }}
              onFound={(finds, naming) => {
                const where = finds.flatMap((find) => find.spots ?? []);
                const spots = [...new Set([...doing.effort.spots, ...where])];
                const lookId = walk.look(doing.stop, { ...doing.effort, spots, finds, naming });
                setDoing({ what: "found", stop: doing.stop, lookId, finds });
                goOn();
              }}
            />
          )}
        </fieldset>
      )}
    </div>
  );
}
