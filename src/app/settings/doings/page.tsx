import type { Metadata } from "next";
import { currentContext } from "@/app/_parts/server/context";
import { readAuditLog } from "@/operations/access/people";
import { Panel } from "@/ui/Panel";
import { wallTimeIn } from "@/zones";
import { doneInWords } from "@/wording/names/access";
import { momentInWords } from "@/wording/dates";

export const metadata: Metadata = { title: "Who did what" };

export default async function DoingsPage() {
  const context = await currentContext("own");
  const entries = await readAuditLog(context);
  return (
    <>
      <h1>Who did what</h1>
      <Panel title={`Lately in ${context.collection.name}, and at the door`}>
        {entries.length === 0 && <p className="mb-0">Nothing recorded yet.</p>}
        <div className="table-responsive">
          <table className="table mb-0">
            <thead>
              <tr>
                <th scope="col">When</th>
                <th scope="col">Who</th>
                <th scope="col">What</th>
              </tr>
            </thead>
            <tbody>
              {entries.map(({ id, at, who, what, about }) => (
                <tr key={id}>
                  <td>{momentInWords(wallTimeIn(at, context.collection.timeZone))}</td>
                  <td>{who}</td>
                  <td>{doneInWords(what, about)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </Panel>
    </>
  );
}
