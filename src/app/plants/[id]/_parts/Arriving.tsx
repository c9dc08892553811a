import { Link } from "@/ui/Link";
import type { ArrivalSteps } from "@/core/advice/arrivals/steps";
import type { PlantView } from "@/operations/plants/queries/readPlant";
import { Panel } from "@/ui/Panel";
import { dryingSentence, schoolsSentence, washNames } from "@/wording/advice/spread/arrivals";
import { wayBackSentence } from "@/wording/advice/spread/carries";
import { cleanLooksSoFar } from "@/wording/advice/clearance/clearance";
import { dayInWords } from "@/wording/dates";

/** The steps of a plant that has come: inspected, washed, looked at, joined. */
export function Arriving({
  plantId,
  steps,
  carries,
}: {
  plantId: string;
  steps: ArrivalSteps;
  carries: PlantView["carries"];
}) {
  const { inspectedOn, washedOn, washing, cleanLooks, cameOn } = steps;
  return (
    <Panel title={`It came on ${dayInWords(cameOn)}`}>
      <ol className="mb-2 ps-3">
        <li>
          {inspectedOn ? (
            `Inspected at the door on ${dayInWords(inspectedOn)}.`
          ) : (
            <>
              <Link href={`/plants/${plantId}/look?all=1`}>Inspect it before it comes in</Link>: every hiding place,
              pot, saucer and label, with lamp or loupe, turned right round.
            </>
          )}
        </li>
        <li>
          {washedOn ? (
            `Washed on ${dayInWords(washedOn)}. ${dryingSentence(steps)}`
          ) : (
            <>
              <Link href={`/plants/${plantId}/act`}>Wash it</Link>: {washNames[washing.wash].toLowerCase()}
              {washing.dryDays > 0 && `; ${washing.dryDays} days dry, first water after ${washing.firstWaterDays}`}.
            </>
          )}
        </li>
        <li>Weekly looks: {cleanLooksSoFar(cleanLooks)}.</li>
        <li>
          {carries?.waysBack ? wayBackSentence(carries.waysBack) : "When it may join the others is being worked out."}
        </li>
      </ol>
      {carries && <p className="small mb-0">{schoolsSentence(carries)}</p>}
    </Panel>
  );
}
