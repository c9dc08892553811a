"use client";

import Link from "next/link";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import { outbox, type Held, type Trouble } from "./outbox";
import { useOutbox } from "./useOutbox";

const whys: Record<Trouble, string> = {
  line: "No connection",
  server: "The server has trouble of its own just now",
  stranger: "Something else answers in the place of Wary Petal: sign in to the network",
  another: "Somebody else has come in in this browser. Yours wait until you come in again",
};
const kinds: Record<Held["deed"]["kind"], string> = {
  look: "Look",
  skip: "Left out",
  apart: "Set apart",
  cleaned: "Hands cleaned",
  void: "Taken back",
  end: "End of the walk",
  act: "Act",
  timer: "Timer",
  timerEnd: "End of a timer",
  photo: "Photo",
};

/** Says what is kept in this browser and not yet with the server, and what the server would not take. Sends it meanwhile. */
export function NotSentYet() {
  const { held, trouble, unkept } = useOutbox();
  const waiting = held.filter((one) => one.state === "waiting");
  const others = held.filter((one) => one.state !== "waiting");
  return (
    <div className="not-sent" aria-live="polite">
      {trouble && waiting.length > 0 && (
        <Alert variant="warning" className="mb-0 py-2">
          {whys[trouble]}: {waiting.length === 1 ? "1 entry is" : `${waiting.length} entries are`} kept in this browser
          and sent when it is back.
        </Alert>
      )}
      {unkept && held.length > 0 && (
        <Alert variant="danger" className="mb-0 py-2">
          This browser keeps nothing: do not close this page before everything has been sent.
        </Alert>
      )}
      {others.map((one) => (
        <Alert key={one.id} variant="danger" className="mb-0 py-2">
          <div>
            <strong>{one.state === "stuck" ? "Not saved yet" : "Not saved"}</strong>: {kinds[one.deed.kind]}
            {one.about && `, ${one.about}`}. {one.message}
          </div>
          <div className="d-flex flex-wrap gap-2 mt-1">
            {one.deed.kind === "look" && (
              <Link
                className="btn btn-sm btn-outline-primary"
                href={`/plants/${one.deed.input.plantId}/look?kept=${one.id}`}
              >
                Mend it
              </Link>
            )}
            <Button size="sm" variant="outline-primary" onClick={() => outbox.again(one.id)}>
              Try again
            </Button>
            <Button size="sm" variant="outline-danger" onClick={() => outbox.drop(one.id)}>
              Drop it
            </Button>
          </div>
        </Alert>
      ))}
    </div>
  );
}
