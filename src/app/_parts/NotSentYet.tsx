"use client";

import { Link } from "@/ui/Link";
import Button from "react-bootstrap/Button";
import type { Held, Trouble } from "@/offline/entries";
import { outbox } from "@/offline/outbox";
import { useOutbox } from "@/offline/useOutbox";

const whys: Record<Trouble, string> = {
  line: "No connection",
  server: "The server has a problem at the moment",
  stranger: "Another page answers in place of Wary Petal: sign in to the network first",
  another: "Someone else is signed in here. Your entries wait until you sign in again",
};
const kinds: Record<Held["deed"]["kind"], string> = {
  look: "Look",
  skip: "Left out",
  apart: "Set apart",
  cleaned: "Hands cleaned",
  void: "Taken back",
  end: "Walk finished",
  act: "Act",
  timer: "Timer",
  timerEnd: "Timer stopped",
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
        <div className="alert alert-warning mb-0 py-2" role="alert">
          {whys[trouble]}: {waiting.length === 1 ? "1 entry is" : `${waiting.length} entries are`} kept in this browser
          and sent once the connection is back.
        </div>
      )}
      {unkept && held.length > 0 && (
        <div className="alert alert-danger mb-0 py-2" role="alert">
          This browser cannot keep entries: leave this page open until everything has been sent.
        </div>
      )}
      {others.map((one) => (
        <div key={one.id} className="alert alert-danger mb-0 py-2" role="alert">
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
                Correct it
              </Link>
            )}
            <Button size="sm" variant="outline-primary" onClick={() => outbox.again(one.id)}>
              Try again
            </Button>
            <Button size="sm" variant="outline-danger" onClick={() => outbox.drop(one.id)}>
              Discard it
            </Button>
          </div>
        </div>
      ))}
    </div>
  );
}
