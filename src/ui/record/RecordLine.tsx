import type { ReactNode } from "react";
import { dayAndYear } from "@/wording/dates";
import { PhoneMore } from "../PhoneMore";
import type { RecordEntry } from "./entries";

const FIRST_ON_PHONE = 4;

/** A record as a time line. `strike` draws the way to void an entry. */
export function RecordLine({
  entries,
  strike,
}: {
  entries: readonly RecordEntry[];
  strike: (entry: RecordEntry) => ReactNode;
}) {
  if (entries.length === 0) return <p className="mb-0">Nothing on record yet.</p>;
  return (
    <ol className="record" reversed>
      <PhoneMore first={FIRST_ON_PHONE} more={`All ${entries.length} entries`}>
        {entries.map((entry) => (
          <li key={entry.kind + entry.id} className={entry.voidReason === null ? undefined : "struck"}>
            <div className="day text-body-secondary small">
              {dayAndYear(entry.day)}
              {entry.by && `, ${entry.by}`}
            </div>
            <div className="what fw-semibold">{entry.what}</div>
            {entry.details.map((detail) => (
              <div key={detail} className="small">
                {detail}
              </div>
            ))}
            {entry.voidReason === null ? strike(entry) : <div className="small">Struck out: {entry.voidReason}</div>}
          </li>
        ))}
      </PhoneMore>
    </ol>
  );
}
