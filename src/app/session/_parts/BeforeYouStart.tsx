import { cautionsOfAct } from "@/core/acts/acts";
import { drawsOf, lastingOf, type Level, type Use } from "@/core/advice/household/cupboard";
import type { Day } from "@/core/shared/days";
import { gearFor, isSprayed } from "@/core/advice/tolerance/gear";
import { handsOf, type Paces } from "@/core/advice/sessions/pace";
import { cansOf, minutesOf } from "@/core/advice/sessions/session";
import type { GroupPlant } from "@/operations/sessions/sessionView";
import { Amounts, type Measuring } from "@/ui/Amounts";
import { Panel } from "@/ui/Panel";
import { useUnits } from "@/ui/shell/Collection";
import { shortSentence } from "@/wording/advice/cupboard";
import { gearNames } from "@/wording/advice/cautions";
import { hoursInWords } from "@/wording/dates";
import { mixNames } from "@/wording/names/names";
import { plantsInWords } from "@/wording/names/plants";
import { volumeIn } from "@/wording/units";
import type { NamedStep, Ticked } from "./Rows";

/** What is mixed, put on and made time for: of what is still to be done, and no more. */
export function BeforeYouStart({
  plants,
  steps,
  ticked,
  paces,
  levels,
  measuring,
  day,
}: {
  plants: readonly GroupPlant[];
  steps: readonly NamedStep[];
  ticked: readonly Ticked[];
  paces: Paces;
  levels: readonly Level[];
  measuring: Measuring;
  day: Day;
}) {
  const units = useUnits();
  const byId = new Map(plants.map((plant) => [plant.plantId, plant]));
  const potOf = (plantId: string) => byId.get(plantId)!.bearer.potCm;
  const taken = ticked.map(({ line }) => line);
  if (taken.length === 0) return null;
  const needed = ticked.filter(({ step }) => !step.optional);
  const minutes = plants.reduce((sum, { plantId, minutes: whole }) => {
    const own = needed.filter(({ line }) => line.plantId === plantId).map(({ line }) => line);
    if (whole === null) return sum + minutesOf(own, potOf, paces);
    // A programme has reckoned each of its plants as a whole: what is left of it takes its share.
    const all = steps.filter((one) => !one.optional && one.lines.some((line) => line.plantId === plantId)).length;
    return sum + (all === 0 ? 0 : (whole * own.length) / all);
  }, 0);
  const hands = new Set(
    needed.flatMap(({ line }) => (byId.get(line.plantId)!.minutes === null && line.act && handsOf(line.act)) || []),
  );
  const timed = [...hands].reduce((sum, one) => sum + (paces[one]?.plants ?? 0), 0);
  const gear = gearFor(
    taken.flatMap(({ act }) => (act ? cautionsOfAct(act) : [])),
    taken.flatMap((line) => line.against.map(({ code }) => code)),
    taken.some(({ act }) => act !== null && isSprayed(act)),
  );
  const cans = cansOf(taken, potOf);
  const uses = taken.flatMap(({ act }): Use[] => (act ? [{ day, act, caseId: null }] : []));
  const short =
    levels.length === 0 ? [] : lastingOf(drawsOf(uses, measuring), levels).filter((one) => one.missingMl > 0);
  return (
    <Panel title="Before you start">
      <p className="mb-2">
        {plantsInWords(new Set(taken.map(({ plantId }) => plantId)).size)}, about {hoursInWords(Math.round(minutes))}
        {timed > 0 && `, at the speed you worked on ${plantsInWords(timed)}`}.
      </p>
      {gear.length > 0 && (
        <ul className="gear" aria-label="Wear, and have ready">
          {gear.map((id) => (
            <li key={id}>{gearNames[id]}</li>
          ))}
        </ul>
      )}
      {short.length > 0 && (
        <ul className="mb-2 ps-3 fw-semibold">
          {short.map((one) => (
            <li key={one.active}>{shortSentence(one, units)}</li>
          ))}
        </ul>
      )}
      {cans.map(({ mix, plants: n, volumeMl, buckets }) => (
        <details key={`${mix} ${buckets}`} className="mb-2" open={cans.length === 1}>
          <summary>
            {buckets === null
              ? `${mixNames[mix]}: ${volumeIn(volumeMl, units)} for ${plantsInWords(n)}`
              : `${mixNames[mix]}, to soak in: ${buckets === 1 ? "one bucket" : `${buckets} buckets`} of 5 L for ${plantsInWords(n)}`}
          </summary>
          {buckets !== null && buckets > 1 && <p className="small mb-1">One bucket:</p>}
          <Amounts mix={mix} totalMl={buckets ? volumeMl / buckets : volumeMl} measuring={measuring} />
        </details>
      ))}
    </Panel>
  );
}
