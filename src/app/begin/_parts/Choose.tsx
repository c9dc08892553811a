"use client";

import Button from "react-bootstrap/Button";
import { show } from "./show";

/** The keeper's own collections, one of which is shown. */
export function Choose({
  collections,
  shownId,
}: {
  collections: readonly { id: string; name: string }[];
  shownId: string | null;
}) {
  return (
    <ul className="list-group list-group-flush">
      {collections.map(({ id, name }) => (
        <li key={id} className="list-group-item px-0 d-flex gap-3 align-items-center">
          <span className="flex-grow-1 text-break">{name}</span>
          <Button
            variant={id === shownId ? "outline-primary" : "primary"}
            onClick={() => show(id, "/today")}
            aria-label={`${id === shownId ? "Continue with" : "Show"} ${name}`}
          >
            {id === shownId ? "Continue" : "Show"}
          </Button>
        </li>
      ))}
    </ul>
  );
}
