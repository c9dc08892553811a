"use client";

import { useState } from "react";
import Button from "react-bootstrap/Button";
import { v7 as uuidv7 } from "uuid";
import { outbox } from "@/app/_parts/outbox";
import { useOutbox } from "@/app/_parts/useOutbox";
import type { Act } from "@/core/acts/acts";
import { NotSentYet } from "./NotSentYet";
import { useCollection } from "@/ui/shell/Collection";
import { withOffset } from "@/zones";

/** Whether an act is one that a round or a batch writes down: of no case and no plan. */
function isOfRound({ caseId, stepId, act }: { caseId?: unknown; stepId?: unknown; act: { kind: string } }): boolean {
  return !caseId && !stepId && (act.kind === "contact" || act.kind === "mechanical");
}

/** One plant of a round or of a batch, ready to be pressed. */
export interface RoundPress {
  readonly plantId: string;
  readonly code: string;
  readonly name: string;
  /** What is done, in words; the plant's own cautions among it. */
  readonly told: readonly string[];
  /** Cautions of this plant, shown so. */
  readonly careful: readonly string[];
  readonly acts: readonly Act[];
}

interface Pressed {
  readonly plantId: string;
  readonly factIds: readonly string[];
}

/**
 * The plants of tonight's batch, each with one press. What is pressed is kept in this browser first and sent as it goes, so that it
 * works where there is no line; the last press can be taken back.
 */
export function RoundPresses({ lines, label }: { lines: readonly RoundPress[]; label: string }) {
  const { id: collectionId, timeZone } = useCollection();
  const { held, sent } = useOutbox();
  const [pressed, setPressed] = useState<readonly Pressed[]>([]);
  const takenBack = new Set(
    [...sent, ...held].flatMap(({ deed }) => (deed.kind === "void" ? [deed.input.factId] : [])),
  );
  // What was pressed on an earlier opening of this page, and has not been sent yet, is done as well.
  const waiting = new Set(
    held.flatMap(({ deed }) =>
      deed.kind === "act" && isOfRound(deed.input) && !takenBack.has(deed.input.id) ? [deed.input.plantId ?? ""] : [],
    ),
  );
  const done = (plantId: string) => waiting.has(plantId) || pressed.some((one) => one.plantId === plantId);
  const left = lines.filter(({ plantId }) => !done(plantId));
  const press = ({ plantId, code, name, acts }: RoundPress) => {
    const at = withOffset(new Date(), timeZone);
    const factIds = acts.map((act) => {
      const id = uuidv7();
      const filed = { plantId, placeId: null, caseId: null, stepId: null };
      const input = { id, ...filed, act, at, note: "", alreadyDone: false };
      outbox.add({ kind: "act", input }, { collectionId, about: `${code} ${name}`, byClock: true });
      return id;
    });
    setPressed((all) => [...all, { plantId, factIds }]);
  };
  const undo = () => {
    const last = pressed.at(-1);
    if (!last) return;
    const about = lines.find(({ plantId }) => plantId === last.plantId)?.code ?? "";
    for (const factId of last.factIds)
      outbox.add(
        { kind: "void", input: { kind: "act", factId, reason: "Taken back." } },
        { collectionId, about, byClock: false },
      );
    setPressed((all) => all.slice(0, -1));
  };
  return (
    <>
      <NotSentYet />
      <p className="mb-2" aria-live="polite">
        {left.length === 0 ? "All done." : `${lines.length - left.length} of ${lines.length} done.`}{" "}
        {pressed.length > 0 && (
          <Button size="sm" variant="outline-primary" onClick={undo}>
            Undo
          </Button>
        )}
      </p>
      <ul className="list-unstyled mb-0">
        {left.map((line) => (
          <li key={line.plantId} className="evening-line">
            <span className="flex-grow-1">
              <strong>
                {line.code} {line.name}
              </strong>
              {line.told.length > 0 && <span>. {line.told.join("; ")}.</span>}
              {line.careful.map((one) => (
                <span key={one} className="d-block fw-semibold">
                  {one}
                </span>
              ))}
            </span>
            {line.acts.length > 0 && (
              <Button className="big" aria-label={`${label}: ${line.code}`} onClick={() => press(line)}>
                {label}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}
