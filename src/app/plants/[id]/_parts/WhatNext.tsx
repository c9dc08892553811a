import { Link } from "@/ui/Link";
import { unnamedOn } from "@/core/advice/unnamed/unnamed";
import { habitsOf } from "@/core/schedule/programmes/returns";
import type { Day } from "@/core/shared/days";
import { Panel } from "@/ui/Panel";
import { habitSentence } from "@/wording/advice/seasons/seasons";
import { dayInWords, fromToday } from "@/wording/dates";
import { pestNames } from "@/wording/names/names";
import { programmeNames } from "@/wording/names/programmes";
import type { plantOf } from "./plantOf";

/** What its state and its record ask for now, the most urgent first. */
export function WhatNext({ view, today }: { view: Awaited<ReturnType<typeof plantOf>>["view"]; today: Day }) {
  const { plant, card, record, verdicts } = view;
  const atRisk = card.state === "atRisk";
  const beside = record.exposures.at(-1);
  const open = unnamedOn(record.looks);
  return (
    <Panel title="What to do next">
      <ul className="mb-0 ps-3">
        {card.state === "infested" && !card.apart && (
          <li className="fw-semibold">Set it apart now, before treating.</li>
        )}
        {open && (
          <li className="fw-semibold">
            <Link href={`/plants/${plant.id}/unnamed`}>Signs not named yet</Link> since {dayInWords(open.since)}: what
            to do until they are named.
          </li>
        )}
        {view.open.map(({ found, plan }) => (
          <li key={found.id}>
            <Link href={`/cases/${found.id}`}>{pestNames[found.pest]}</Link>
            {plan ? ": treat as planned." : ": make a plan."}
          </li>
        ))}
        <li>
          {card.lookDueOn < today ? "A look was due" : "The next look is due"} {fromToday(card.lookDueOn, today)},{" "}
          {dayInWords(card.lookDueOn)}: {programmeNames[card.lookDueFor]}.
        </li>
        {verdicts.guard.until && (
          <li>
            It was called clear and is watched until {dayInWords(verdicts.guard.until)}: anything missed shows within
            that time.
          </li>
        )}
        {habitsOf(record.cases).map((habit) => (
          <li key={habit.pest}>{habitSentence(habit)}</li>
        ))}
        {atRisk && (
          <li>
            It is at risk: see below what it may carry
            {beside && (
              <>
                ; it was next to <Link href={`/plants/${beside.sourcePlantId}`}>{beside.sourceCode}</Link> when{" "}
                {pestNames[beside.pest].toLowerCase()} were found
              </>
            )}
            .
          </li>
        )}
      </ul>
    </Panel>
  );
}
