import type { Metadata } from "next";
import { notYetSentence } from "@/wording/advice/clearance/clearance";
import { pestNames } from "@/wording/names/names";
import { caseOf } from "../_parts/caseOf";
import { CloseForm } from "../_parts/CloseForm";

export const metadata: Metadata = { title: "Close a case" };

export default async function ClosePage({ params }: { params: Promise<{ id: string }> }) {
  const { view, now } = await caseOf(params);
  const { plant } = view;
  return (
    <>
      <h1>
        Close: {pestNames[view.found.pest].toLowerCase()} on {plant.code} {plant.name}
      </h1>
      {!view.clearance.met && (
        <div className="alert alert-warning" role="note">
          <p className="fw-semibold mb-1">By the rule it is not clear yet.</p>
          <ul className="mb-0 ps-3">
            {view.clearance.notYet.map((reason) => (
              <li key={reason.code}>{notYetSentence(reason)}</li>
            ))}
          </ul>
        </div>
      )}
      <p>
        After clear: back to its place, a weekly look for a month, then every second week for two more, then like the
        rest. A plant you give up or lose can be archived on its page; bag the waste and put it in the household bin.
      </p>
      <CloseForm caseId={view.found.id} met={view.clearance.met} now={now} />
    </>
  );
}
