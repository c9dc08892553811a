import type { Experience } from "@/core/advice/learning/experience";
import type { ToldElsewhere } from "@/core/model/learning/elsewhere";
import { Only } from "@/ui/shell/Only";
import { Panel } from "@/ui/Panel";
import {
  arrivalsElsewhereSentence,
  elsewhereSentence,
  passingElsewhereSentence,
  sightElsewhereSentence,
} from "@/wording/advice/learning";
import { manyInWords } from "@/wording/numbers";
import { techniqueNames } from "@/wording/names/names";
import { AddExperience, ForgetExperience } from "./ExperienceForms";
import { Shares, sharesOf } from "./Shares";
import { WhatEnded } from "./WhatEnded";

interface Props {
  /** What was read in; null for none. */
  readonly elsewhere: (Experience & { readonly told: ToldElsewhere }) | null;
  /** Whether the keeper wants our estimates alone: then it is shown, and counts for nothing. */
  readonly unused: boolean;
}

/** What other keepers' records have taught, and the forms to read more of it in. */
export function OtherKeepers({ elsewhere, unused }: Props) {
  return (
    <Panel title="Other keepers">
      {elsewhere ? (
        <>
          <p>{elsewhereSentence(elsewhere, unused)}</p>
          {elsewhere.courses.length > 0 && (
            <WhatEnded label="What ended what with other keepers" courses={elsewhere.courses} />
          )}
          <Told told={elsewhere.told} />
        </>
      ) : (
        <p>
          Import a file that another keeper or a club has shared. New cases then start from theirs as well, until your
          own record says more. Each of their cases counts a quarter of one of yours, and all together no more than our
          own estimate.
        </p>
      )}
      <Only right="own">
        <AddExperience />
        {elsewhere && (
          <div className="mt-3">
            <ForgetExperience />
          </div>
        )}
      </Only>
    </Panel>
  );
}

function Told({ told: { hands, eyes, arrivals, passing } }: { told: ToldElsewhere }) {
  return (
    <ul className="list-unstyled">
      {hands
        .filter(({ worth }) => worth.some((one) => one > 0))
        .map(({ technique, cases, worth }) => (
          <li key={technique} className="mb-2">
            {techniqueNames[technique]}, {manyInWords(cases, "closed case")}
            <Shares name="Theirs" of={sharesOf(worth)} />
          </li>
        ))}
      {eyes
        .filter(({ precision }) => precision > 0)
        .map((eye) => (
          <li key={eye.tool} className="mb-2">
            {sightElsewhereSentence(eye)}
          </li>
        ))}
      {arrivals.plants > 0 && <li className="mb-2">{arrivalsElsewhereSentence(arrivals)}</li>}
      {passing.precision > 0 && <li>{passingElsewhereSentence(passing)}</li>}
    </ul>
  );
}
