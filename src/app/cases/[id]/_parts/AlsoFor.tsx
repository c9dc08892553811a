"use client";

import { Link } from "@/ui/Link";
import { useState } from "react";
import Form from "react-bootstrap/Form";
import { v7 as uuidv7 } from "uuid";
import { adoptPlanAction } from "@/app/_parts/actions";
import type { AlikeCase } from "@/operations/cases/queries/readAlike";
import { useCollection } from "@/ui/shell/Collection";
import { toggled } from "@/ui/toggled";
import { dayInWords } from "@/wording/dates";

/** A plant that the plan was not adopted for, and why. */
interface NotFor {
  readonly plant: AlikeCase;
  readonly why: string;
}

/** Other plants of the same find that get the plan too: which are ticked, and what becomes of it. */
export function useAlsoFor(alike: readonly AlikeCase[]) {
  const { id: collectionId } = useCollection();
  // Sent once more, it is the same plan.
  const [ids] = useState(() => new Map(alike.map(({ caseId }) => [caseId, uuidv7()])));
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const [refused, setRefused] = useState<readonly NotFor[] | null>(null);
  const [going, setGoing] = useState(false);
  /** Adopts it for those that are ticked, each judged alone; gives whether all took it. */
  const adopt = async (command: object): Promise<boolean> => {
    const not: NotFor[] = [];
    setGoing(true);
    for (const plant of alike.filter(({ caseId }) => ticked.includes(caseId))) {
      const { caseId } = plant;
      const result = await adoptPlanAction(collectionId, {
        ...command,
        id: ids.get(caseId),
        caseId,
        asBorne: true,
      }).catch(() => null);
      if (result?.ok) continue;
      not.push({ plant, why: result?.problems.map(({ message }) => message).join(" ") ?? "It could not be sent." });
    }
    setGoing(false);
    setRefused(not);
    return not.length === 0;
  };
  return { alike, ticked, toggle: (id: string) => setTicked((all) => toggled(all, id)), refused, going, adopt };
}

export type AlsoForHandle = ReturnType<typeof useAlsoFor>;

/** Ticks for the other plants that have the same pest. */
export function AlsoFor({ alike, ticked, toggle, going }: AlsoForHandle) {
  if (alike.length === 0) return null;
  return (
    <details className="mb-2" open={ticked.length > 0 || undefined}>
      <summary>
        Same plan for other plants: {ticked.length} of {alike.length}
      </summary>
      <p className="small mb-1">Each gets the mix it tolerates and the looks it needs; each is judged on its own.</p>
      <div className="also-for">
        {alike.map(({ caseId, code, name, placeName, since }) => (
          <Form.Check
            key={caseId}
            id={`also-${caseId}`}
            checked={ticked.includes(caseId)}
            onChange={() => toggle(caseId)}
            label={`${code} ${name}, ${placeName}, since ${dayInWords(since)}`}
          />
        ))}
      </div>
      {going && <p role="status">Adopting it for the others …</p>}
    </details>
  );
}

/** It is adopted, but not for all that were ticked. */
export function NotForAll({ refused, caseId }: { refused: readonly NotFor[]; caseId: string }) {
  return (
    <div className="alert alert-warning" role="alert">
      <p className="fw-semibold mb-1">Adopted, but not for all:</p>
      <ul className="mb-2">
        {refused.map(({ plant, why }) => (
          <li key={plant.caseId}>
            <Link href={`/cases/${plant.caseId}/plan`}>
              {plant.code} {plant.name}
            </Link>
            : {why}
          </li>
        ))}
      </ul>
      <Link className="btn btn-primary" href={`/cases/${caseId}`}>
        Continue
      </Link>
    </div>
  );
}
