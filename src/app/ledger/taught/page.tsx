import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { AsOf } from "@/app/_parts/AsOf";
import { currentContext } from "@/app/_parts/server/context";
import { cachedView } from "@/app/_parts/server/cachedView";
import { ENDED_FOR_GOOD_DAYS, LOOKED_AGAIN_DAYS } from "@/core/advice/learning/courses";
import { reaches } from "@/core/model/clearance/scenarios";
import type { TechniqueId } from "@/core/knowledge/remedies/remedies";
import { SHOWS_WITHIN_DAYS } from "@/core/model/carriage/arrivalShare";
import { FEWEST_CASES } from "@/core/model/learning/reach";
import { readTaught } from "@/operations/record/queries/readTaught";
import { Only } from "@/ui/shell/Only";
import { Span } from "@/ui/charts/Span";
import { Panel } from "@/ui/Panel";
import { percent } from "@/wording/advice/chances";
import { dayCount } from "@/wording/dates";
import {
  arrivalsSentence,
  betterSentence,
  countedInWords,
  handSentence,
  sightSentence,
  taughtSentences,
} from "@/wording/advice/learning";
import { toolNames } from "@/wording/names/names";
import { BearsOn } from "./_parts/BearsOn";
import { OtherKeepers } from "./_parts/OtherKeepers";
import { Shares, sharesOf } from "./_parts/Shares";
import { WhatEnded } from "./_parts/WhatEnded";
import { WasItRight } from "./_parts/WasItRight";

/** Sellers of the most plants; the others brought too few to tell. */
const SELLERS_SHOWN = 12;

export const metadata: Metadata = { title: "What your record has taught" };

/** What ended what, whether what was told came true, and what each tool sees: from this collection's own record. */
export default async function TaughtPage() {
  const context = await currentContext();
  const taught = await cachedView(context, "taught", () => readTaught(context));
  const { courses, hands, sights, eyes, sellers, arrivals, elsewhere, cases, closed } = taught;
  const sentences = taughtSentences(courses);
  const { numbers } = context.collection;
  const withOthers = elsewhere !== null && numbers !== "ours";
  const theirs = (technique: TechniqueId) => elsewhere?.told.hands.find((one) => one.technique === technique);
  const several = new Set([...hands, ...eyes].map(({ name }) => name)).size > 1;
  return (
    <>
      <div className="d-flex flex-wrap gap-2 align-items-center">
        <h1 className="me-auto">What your record has taught</h1>
        <a className="btn btn-outline-primary mb-2" href="/ledger/taught/table">
          As a table (CSV)
        </a>
      </div>
      <AsOf />
      <p>
        From {cases === 1 ? "one case" : `${cases} cases`}, {closed} of them closed. Each bar shows where the true share
        lies four times in five; the mark is your count. As long as a bar is wide, do not decide by it.
      </p>
      <Panel title="What ended what">
        {courses.length === 0 && <p className="mb-0">No case has been treated yet.</p>}
        {sentences.map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
        {courses.length > 0 && <WhatEnded label="What ended what" courses={courses} />}
        <p className="small mb-0">
          A case counts under its most frequent treatment. It ended for good if it was called clear and the same pest
          was not found on the plant within {dayCount(ENDED_FOR_GOOD_DAYS)}, and counts only after that, if you looked
          again {dayCount(LOOKED_AGAIN_DAYS)} or more after closing it; if the plant was given up or lost, it did not.
          How bad a case was at the start is not considered: worse ones may have had the stronger treatment. Treatments
          and days are medians of the cases that ended.
        </p>
      </Panel>
      <WasItRight {...taught} oursAlone={numbers === "ours"} />
      <Panel title="How much your treatments miss">
        {hands.length === 0 ? (
          <p className="mb-0">This appears once a case that you sprayed, dabbed, wiped or dunked is closed.</p>
        ) : (
          <ul className="list-unstyled mb-0">
            {hands.map((hand, i) => (
              <li key={i} className="mb-2">
                {several && `${hand.name}: `}
                {handSentence(hand, withOthers)}
                {hand.learned && (
                  <>
                    <Shares name="Ours" of={reaches.map(({ prior }) => prior)} />
                    {theirs(hand.technique) && <Shares name="Theirs" of={sharesOf(theirs(hand.technique)!.worth)} />}
                    <Shares name={withOthers ? "Together" : "Yours"} of={hand.learned.mean} />
                  </>
                )}
              </li>
            ))}
          </ul>
        )}
        <p className="small mb-0 mt-2">
          {hands.some(({ learned }) => learned) &&
            "Dark: misses 2½ times as much as we suppose for the technique; pale: a third of it. "}
          Judged from all that was found and not found, case by case; a case of another technique or keeper counts a
          quarter.{" "}
          {numbers === "ours"
            ? "New cases start from our estimates."
            : hands.some(({ learned }) => learned)
              ? "New cases start from yours."
              : `From ${FEWEST_CASES} closed cases on, new cases start from yours.`}{" "}
          <Only right="own">
            <Link href="/settings">Change that in Settings</Link>
          </Only>
        </p>
      </Panel>
      <Panel title="How much each look sees">
        {sights.length === 0 ? (
          <p className="mb-0">
            This appears once plants are looked at twice within two days, by eye and with a lamp, or by two keepers.
          </p>
        ) : (
          <ul className="list-unstyled mb-0">
            {sights.map(({ tool, saw }) => (
              <li key={tool} className="mb-2">
                {toolNames[tool]}: saw {countedInWords(saw)} of what another look within two days found.
                <Span counted={saw} bare />
              </li>
            ))}
          </ul>
        )}
        {eyes.some(({ learned }) => learned) && (
          <>
            <ul className="list-unstyled mb-2">
              {eyes.map((eye, i) => (
                <li key={i} className="mb-1">
                  {several && `${eye.name}: `}
                  {sightSentence(eye)} {eye.better && betterSentence(eye.better)}
                </li>
              ))}
            </ul>
            <p className="small mb-0">
              {numbers === "ours"
                ? "Clean looks count as by our estimates."
                : "Clean looks of new cases count by what you see. Another tool or keeper counts a quarter."}
            </p>
          </>
        )}
      </Panel>
      <BearsOn cases={taught.bearsOn} />
      {sellers.length > 0 && (
        <Panel title="What comes with new plants">
          <ul className="list-unstyled mb-0">
            {sellers.slice(0, SELLERS_SHOWN).map((one) => (
              <li key={one.seller} className="mb-2">
                {arrivalsSentence(one)}
                <Span
                  counted={{ hits: one.showed, of: one.plants, low: one.learned.low, high: one.learned.high }}
                  told={arrivals.share}
                  bare
                />
              </li>
            ))}
          </ul>
          <p className="small mb-0 mt-2">
            A pest found within {dayCount(SHOWS_WITHIN_DAYS)} of coming counts as brought along. The diamond is where we
            start with everyone: {percent(arrivals.share)} of plants. The next plant from them is watched by this.
          </p>
        </Panel>
      )}
      <OtherKeepers elsewhere={elsewhere} unused={numbers === "ours"} />
      <Only right="own">
        <Panel title="Share it">
          <p>
            These results as a file of counts: no names, places, dates, sellers or plants. A club can merge the files of
            its members on a computer with this program, each member once:{" "}
            <code>npm run --silent wary -- experience merge A B</code>, and show one with{" "}
            <code>npm run --silent wary -- experience show A</code>.
          </p>
          <a className="btn btn-outline-primary" href="/ledger/taught/experience">
            Download this experience
          </a>
        </Panel>
      </Only>
      <p>
        <Link href="/ledger">Back to the ledger</Link>
      </p>
    </>
  );
}
