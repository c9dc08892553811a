"use client";

import { useEffect, useState } from "react";
import type { Schools } from "@/core/advice/spread/schools";
import { percent } from "@/wording/advice/chances";

const minutes = (n: number) => `${Math.max(1, Math.round(n))} min`;

/** Treat every neighbour, or only look: side by side, with what each costs and leaves. */
export function BothSchools({ caseId }: { caseId: string }) {
  const [schools, setSchools] = useState<Schools | "none" | null>(null);
  useEffect(() => {
    const stop = new AbortController();
    fetch(`/cases/${caseId}/around/schools`, { signal: stop.signal })
      .then(async (response) => setSchools(response.ok ? ((await response.json()) as Schools) : "none"))
      .catch(() => !stop.signal.aborted && setSchools("none"));
    return () => stop.abort();
  }, [caseId]);
  if (schools === "none") return <p className="mb-0">It could not be worked out. Try again in a moment.</p>;
  if (!schools)
    return (
      <p className="mb-0" aria-live="polite">
        Working out both …
      </p>
    );
  if (schools.plants === 0) return <p className="mb-0">Nothing stands next to it.</p>;
  const { treat, look } = schools;
  return (
    <>
      <p>
        {schools.plants === 1 ? "One plant stands" : `${schools.plants} plants stand`} beside it.{" "}
        {percent(schools.oneCarries)} that at least one of them has it now.
      </p>
      <div className="table-responsive">
        <table className="table table-sm align-middle mb-2">
          <thead>
            <tr>
              <td />
              <th scope="col">Treat them all once</th>
              <th scope="col">Only look at them all</th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <th scope="row">One still has it</th>
              <td>{percent(treat.oneLeft)}</td>
              <td>{percent(look.oneLeft)}, if all were clean</td>
            </tr>
            <tr>
              <th scope="row">Finds one</th>
              <td>not applicable</td>
              <td>{percent(look.oneFound)}</td>
            </tr>
            <tr>
              <th scope="row">Time</th>
              <td>
                {minutes(treat.minutes)}, {treat.volumeMl} mL of mild soap
              </td>
              <td>{minutes(look.minutes)}</td>
            </tr>
            <tr>
              <th scope="row">Damage</th>
              <td>
                {treat.refused > 0 && `${treat.refused} do not tolerate it and are left out; `}
                {treat.withCare > 0 ? `${treat.withCare} need care` : "none known for the rest"}
              </td>
              <td>none</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p className="small mb-0">
        Some growers treat every neighbour at once; others look, and treat only what they find. One spray leaves eggs,
        so if you treat, carry on as with a case. Either way, look again after a week.
      </p>
    </>
  );
}
