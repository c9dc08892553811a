"use client";

import { useState } from "react";
import Button from "react-bootstrap/Button";
import { v7 as uuidv7 } from "uuid";
import { outbox } from "@/offline/outbox";
import type { GroupPlant } from "@/operations/sessions/sessionView";
import { Panel } from "@/ui/Panel";
import { useCollection } from "@/ui/shell/Collection";
import { withOffset } from "@/zones";

/** So many places are offered, those with the most plants first. */
const MOST_PLACES = 4;

/** What a press has written down. */
interface Pressed {
  readonly kind: "act" | "cleaning";
  readonly factId: string;
}

/** What is not written down. */
const leftovers = [
  "Leftover mix: what you made today is useless tomorrow. Dispose of it by local rules, never down the drain.",
  "Wash bottle and brush, and wipe them with alcohol.",
  "Bag the waste and put it in the household bin, away from the plants.",
];

/** What is cleaned after a session: hands and tools, and the places the plants stand at. Each one press, on record of the place. */
export function Afterwards({ plants }: { plants: readonly GroupPlant[] }) {
  const { id: collectionId, timeZone } = useCollection();
  const [pressed, setPressed] = useState<ReadonlyMap<string, Pressed>>(new Map());
  /** Pressed it is written down; pressed again it is taken back. */
  const press = (key: string, kind: Pressed["kind"], about: string, add: (factId: string, at: string) => void) => {
    const next = new Map(pressed);
    const before = pressed.get(key);
    if (before) {
      outbox.add(
        { kind: "void", input: { kind, factId: before.factId, reason: "Taken back." } },
        { collectionId, about, byClock: false },
      );
      next.delete(key);
    } else {
      const factId = uuidv7();
      add(factId, withOffset(new Date(), timeZone));
      next.set(key, { kind, factId });
    }
    setPressed(next);
  };
  const counts = new Map<string, { readonly name: string; plants: number }>();
  for (const { placeId, placeName } of plants) {
    const there = counts.get(placeId);
    if (there) there.plants++;
    else counts.set(placeId, { name: placeName, plants: 1 });
  }
  const places = [...counts].toSorted(([, a], [, b]) => b.plants - a.plants).slice(0, MOST_PLACES);
  const clean = (placeId: string, name: string) =>
    press(placeId, "act", name, (id, at) =>
      outbox.add(
        {
          kind: "act",
          input: {
            ...{ id, plantId: null, placeId, caseId: null, stepId: null, at, note: "", alreadyDone: false },
            act: { kind: "clean", what: "shelf", with: "soapyWater" },
          },
        },
        { collectionId, about: name, byClock: true },
      ),
    );
  const button = (key: string, label: string, onClick: () => void) => (
    <Button
      key={key}
      variant={pressed.has(key) ? "primary" : "outline-primary"}
      aria-pressed={pressed.has(key)}
      onClick={onClick}
    >
      {label}
    </Button>
  );
  return (
    <Panel title="Clean up">
      <p className="small">
        With soapy water, under the pots too; then your hands and sleeves. Press what you cleaned; press again to undo.
        If you cleaned with something else, record it at the place.
      </p>
      <div className="d-flex flex-wrap gap-2">
        {button("hands", "Hands and tools", () =>
          press("hands", "cleaning", "", (id, at) =>
            outbox.add(
              { kind: "cleaned", input: { id, walkId: null, at } },
              { collectionId, about: "", byClock: true },
            ),
          ),
        )}
        {places.map(([placeId, { name }]) => button(placeId, name, () => clean(placeId, name)))}
      </div>
      <ul className="small mb-0 mt-3">
        {leftovers.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
    </Panel>
  );
}
