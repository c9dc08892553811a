"use client";

import { subMinutes } from "date-fns";
import { useRouter } from "next/navigation";
import { useState } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { v7 as uuidv7 } from "uuid";
import { recordActAction } from "@/app/_parts/actions";
import { usePress } from "@/app/_parts/usePress";
import { cautionsOfAct, costsOfAct, type Act } from "@/core/acts/acts";
import type { ToolId } from "@/core/model/inspection/tools";
import { blitzActs } from "@/core/advice/decision/blitz";
import type { PreparationId } from "@/core/advice/planning/preparation";
import { actObjections } from "@/core/advice/tolerance/actObjections";
import type { TreatedPlant } from "@/core/advice/tolerance/treatedPlant";
import { CautionList } from "@/ui/Cautions";
import { useCollection } from "@/ui/shell/Collection";
import { toggled } from "@/ui/toggled";
import { plannedInWords, tellAct, workNames } from "@/wording/names/acts";
import { hoursInWords } from "@/wording/dates";
import { preparationNames } from "@/wording/advice/planning/preparation";
import { withOffset } from "@/zones";

interface Props {
  caseId: string;
  plantId: string;
  bearer: TreatedPlant;
  tool: ToolId;
}

/** The acts of one evening as a list; those that are ticked are written down one after the other. */
export function AllInOne({ caseId, plantId, bearer, tool }: Props) {
  const router = useRouter();
  const { timeZone } = useCollection();
  const { press, trouble, going } = usePress(recordActAction);
  // Their ids stay the same: pressed again after a broken line nothing is written down twice.
  const [acts] = useState(() => blitzActs(bearer, tool).map((act) => ({ id: uuidv7(), act })));
  const [done, setDone] = useState<readonly string[]>(acts.map(({ id }) => id));
  const chosen = acts.filter(({ id }) => done.includes(id));
  const minutes = chosen.reduce((sum, { act }) => sum + costsOfAct(act, bearer.potCm).minutes, 0);
  const cautions = [...new Set(chosen.flatMap(({ act }) => cautionsOfAct(act)))];
  const against = chosen.flatMap(({ act }) => actObjections(act, bearer));
  const distinct = [...new Map(against.map((one) => [one.code, one])).values()];
  const write = async () => {
    // A minute apart, so that they stay in their order.
    const end = new Date();
    for (const [i, { id, act }] of chosen.entries()) {
      const at = withOffset(subMinutes(end, chosen.length - 1 - i), timeZone);
      const filed = { plantId, placeId: null, caseId, stepId: null };
      if (!(await press({ id, ...filed, act, at, note: "", alreadyDone: false }))) return;
    }
    router.push(`/cases/${caseId}`);
  };
  return (
    <>
      <div className="row gx-4">
        <div className="col-lg-6">
          {acts.map(({ id, act }, i) => (
            <Form.Check
              key={id}
              id={`step-${id}`}
              className="mb-2"
              checked={done.includes(id)}
              onChange={() => setDone((all) => toggled(all, id))}
              label={`${i + 1}. ${stepInWords(act)} (${hoursInWords(Math.round(costsOfAct(act, bearer.potCm).minutes))})`}
            />
          ))}
          <p>Together about {hoursInWords(Math.round(minutes))}.</p>
        </div>
        <div className="col-lg-6">
          <CautionList against={distinct} cautions={cautions} />
        </div>
      </div>
      {trouble && (
        <p className="text-danger-emphasis fw-semibold" role="alert">
          {trouble}
        </p>
      )}
      <Button disabled={going || chosen.length === 0} onClick={() => void write()}>
        Done: record it all
      </Button>
    </>
  );
}

/** A step as it is to be done. */
function stepInWords(act: Act): string {
  if (act.kind === "contact") return `${plannedInWords(act)}, about ${Math.round(act.volumeMl)} mL`;
  if (act.kind !== "mechanical") return tellAct(act)[0];
  return act.way in preparationNames ? preparationNames[act.way as PreparationId] : workNames.unpot;
}
