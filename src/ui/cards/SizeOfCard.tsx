"use client";

import { useId, useState } from "react";
import Form from "react-bootstrap/Form";
import type { CardSize } from "@/core/model/inspection/cardSpots";
import { toCentimetres } from "@/core/units/length";
import { cardSizeInWords } from "@/wording/units";
import { useUnits } from "../shell/Collection";

const OWN = "own";
/** No card is smaller or larger, mm. */
const LEAST_MM = 20;
const MOST_MM = 600;

/** How large a card or paper is: one of the usual sizes, or the keeper's own in the units they read in. */
export function SizeOfCard({
  label,
  usual,
  size,
  disabled,
  onSize,
}: {
  label: string;
  usual: readonly CardSize[];
  size: CardSize;
  disabled: boolean;
  onSize: (size: CardSize) => void;
}) {
  const units = useUnits();
  const id = useId();
  const [own, setOwn] = useState(false);
  const [wrong, setWrong] = useState<"widthMm" | "heightMm" | null>(null);
  const unitMm = 10 * (units === "us" ? toCentimetres(1) : 1);
  const side = (name: "widthMm" | "heightMm", label: string) => (
    <Form.Group className="col-6" controlId={`${id}-${name}`}>
      <Form.Label className="mb-1">
        {label}, {units === "us" ? "in" : "cm"}
      </Form.Label>
      <Form.Control
        inputMode="decimal"
        defaultValue={Number((size[name] / unitMm).toFixed(1))}
        disabled={disabled}
        onBlur={(event) => {
          const mm = Number(event.target.value.replace(",", ".")) * unitMm;
          const fits = mm >= LEAST_MM && mm <= MOST_MM;
          setWrong(fits ? null : name);
          if (fits && mm !== size[name]) onSize({ ...size, [name]: mm });
        }}
        isInvalid={wrong === name}
        aria-describedby={`${id}-wrong`}
      />
    </Form.Group>
  );
  return (
    <div className="mb-2">
      <Form.Group controlId={`${id}-size`}>
        <Form.Label className="mb-1 fw-semibold">{label}</Form.Label>
        <Form.Select
          value={own ? OWN : usual.indexOf(size)}
          disabled={disabled}
          onChange={({ target: { value } }) => {
            setOwn(value === OWN);
            if (value !== OWN) onSize(usual[Number(value)]!);
          }}
        >
          {usual.map((one, i) => (
            <option key={cardSizeInWords(one, units)} value={i}>
              {cardSizeInWords(one, units)}
            </option>
          ))}
          <option value={OWN}>Another size</option>
        </Form.Select>
      </Form.Group>
      {own && (
        <div className="row gx-2 mt-1">
          {side("widthMm", "Short side")}
          {side("heightMm", "Long side")}
          <p id={`${id}-wrong`} className="text-danger-emphasis fw-semibold mb-0" role={wrong ? "alert" : undefined}>
            {wrong &&
              `Between ${Math.round(LEAST_MM / unitMm)} and ${Math.round(MOST_MM / unitMm)}: the size before is kept.`}
          </p>
        </div>
      )}
    </div>
  );
}
