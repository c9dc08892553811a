"use client";

import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import { outbox } from "./outbox";
import { useOutbox } from "./useOutbox";

/** Says what is kept in this browser and not yet with the server, and what the server would not take. Sends it meanwhile. */
export function NotSentYet() {
  const { waiting, refused, cutOff } = useOutbox();
  return (
    <div className="not-sent" aria-live="polite">
      {cutOff && waiting.length > 0 && (
        <Alert variant="warning" className="mb-0 py-2">
          No connection: {waiting.length === 1 ? "1 entry is" : `${waiting.length} entries are`} kept in this browser
          and sent when it is back.
        </Alert>
      )}
      {refused.map((one) => (
        <Alert key={one.id} variant="danger" className="mb-0 py-2 d-flex gap-2 align-items-center">
          <span className="flex-grow-1">Not saved: {one.message}</span>
          <Button size="sm" variant="outline-primary" onClick={() => outbox.dismiss(one.id)}>
            Seen
          </Button>
        </Alert>
      ))}
    </div>
  );
}
