"use client";

import { useState, useSyncExternalStore } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { pestOf, type PestId } from "@/core/knowledge/pests/pests";
import { sizeOf } from "@/core/knowledge/pests/sizes";
import { stageNames } from "@/wording/names/names";
import { stageLooks } from "@/wording/names/signs";
import { Animal, trueBodyPx } from "./Animal";

/** A bank card, mm. Source: ISO/IEC 7810, ID-1. */
const CARD_MM = { width: 85.6, height: 53.98 } as const;
/** What a pixel of CSS is meant to be; screens differ. */
const CSS_PX_PER_MM = 96 / 25.4;
const KEPT_AT = "wary-px-per-mm";
const NARROWEST = 2;
const WIDEST = 9;
/** Where nothing is measured, bodies are drawn so long. */
const TO_LOOK_AT_PX = 96;

const sizes = [
  [0, "Large"],
  [1, "Life size"],
  [5, "× 5"],
  [20, "× 20"],
] as const;

const never = () => () => {};

function keptScale(): number | null {
  try {
    const kept = Number(localStorage.getItem(KEPT_AT));
    return kept >= NARROWEST && kept <= WIDEST ? kept : null;
  } catch {
    return null;
  }
}

/**
 * The stages of a pest, drawn: to look at, or as large as they are, once a bank card has been held to the screen; then a leaf can be held
 * beside them.
 */
export function Stages({ pest }: { pest: PestId }) {
  const kept = useSyncExternalStore(never, keptScale, () => null);
  const [own, setOwn] = useState<number | null>(null);
  const [times, setTimes] = useState<number>(0);
  const [measuring, setMeasuring] = useState(false);
  const scale = own ?? kept;
  const pxPerMm = scale ?? CSS_PX_PER_MM;
  const keep = (next: number) => {
    setOwn(next);
    try {
      localStorage.setItem(KEPT_AT, String(next));
    } catch {
      // It holds for as long as the page is open.
    }
  };
  return (
    <>
      <div className="d-flex flex-wrap gap-2 mb-2" role="group" aria-label="Size">
        {sizes.map(([one, name]) => (
          <button
            key={one}
            type="button"
            className={`btn btn-sm ${times === one ? "btn-primary" : "btn-outline-primary"}`}
            aria-pressed={times === one}
            onClick={() => setTimes(one)}
          >
            {name}
          </button>
        ))}
      </div>
      <ul className="animal-stages">
        {pestOf(pest).stages.map(({ id }) => (
          <li key={id}>
            <span className="animal-frame">
              <Animal
                pest={pest}
                stage={id}
                bodyPx={times === 0 ? TO_LOOK_AT_PX : Math.max(1, trueBodyPx(pest, id, pxPerMm, times))}
              />
            </span>
            <strong>{stageNames[id]}</strong>, {sizeOf(pest, id)} mm
            <span className="d-block">{stageLooks[pest][id]}</span>
          </li>
        ))}
      </ul>
      {times > 0 && (
        <div className="mt-2">
          {scale === null && <p className="mb-2">This screen is not measured yet: sizes may be off by half.</p>}
          <Button
            size="sm"
            variant="outline-primary"
            onClick={() => setMeasuring(!measuring)}
            aria-expanded={measuring}
          >
            {measuring ? "It fits" : scale === null ? "Measure it with a bank card" : "Measure it again"}
          </Button>
          {measuring && (
            <div className="mt-2">
              <Form.Label htmlFor={`card-${pest}`}>
                Hold a bank card to the screen and move the slider until the frame is as wide as the card.
              </Form.Label>
              <Form.Range
                id={`card-${pest}`}
                min={NARROWEST}
                max={WIDEST}
                step={0.01}
                value={pxPerMm}
                onChange={(event) => keep(Number(event.target.value))}
              />
              <div
                className="card-frame"
                style={{ width: CARD_MM.width * pxPerMm, height: CARD_MM.height * pxPerMm }}
                aria-hidden
              />
            </div>
          )}
        </div>
      )}
    </>
  );
}
