import type { Experience } from "@/core/advice/learning/experience";
import type { ToldElsewhere } from "@/core/model/learning/elsewhere";
import { Only } from "@/ui/shell/Only";
import { Panel } from "@/ui/Panel";
import { Span } from "@/ui/charts/Span";
import {
  doseInWords,
  elsewhereSentence,
  arrivalsElsewhereSentence,
  sightElsewhereSentence,
} from "@/wording/advice/learning";
import { manyInWords } from "@/wording/numbers";
import { pestNames, techniqueNames } from "@/wording/names/names";
import { AddExperience, ForgetExperience } from "./ExperienceForms";
import { Shares, sharesOf } from "./Shares";

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
          {elsewhere.courses.length > 0 && <Courses courses={elsewhere.courses} />}
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

function Courses({ courses }: Pick<Experience, "courses">) {
  return (
    <div className="table-responsive" tabIndex={0} role="region" aria-label="What ended what with other keepers">
      <table className="table align-middle">
        <thead>
          <tr>
            <th scope="col">Against</th>
            <th scope="col">Mainly treated with</th>
            <th scope="col">Ended for good</th>
            <th scope="col">Came back</th>
          </tr>
        </thead>
        <tbody>
          {courses.map(({ pest, dose, ended, returned }) => (
            <tr key={`${pest} ${JSON.stringify(dose)}`}>
              <th scope="row">{pestNames[pest]}</th>
              <td>{doseInWords(dose)}</td>
              <td>{ended.of === 0 ? "not known yet" : <Span counted={ended} />}</td>
              <td>{returned}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Told({ told: { hands, eyes, arrivals } }: { told: ToldElsewhere }) {
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
      {arrivals.plants > 0 && <li>{arrivalsElsewhereSentence(arrivals)}</li>}
    </ul>
  );
}
