import { measureMl } from "@/core/units/volume";
import type { Units } from "@/wording/units";
import { useId } from "react";
import Form from "react-bootstrap/Form";

/** Reads a number typed with a point or a comma; null when it is none or out of range. */
export function read(typed: string, min: number, max: number): number | null {
  const value = Number(typed.trim().replace(",", "."));
  return typed.trim() !== "" && Number.isFinite(value) && value >= min && value <= max ? value : null;
}

/** The most that is mixed at once, mL. */
const LARGEST_ML = 20_000;

/** A volume typed in the keeper's units, mL; null when it is none, less than 1 mL or more than is mixed at once. */
export function readVolume(typed: string, units: Units): number | null {
  const most = units === "us" ? LARGEST_ML / measureMl.usFluidOunce : LARGEST_ML;
  const value = read(typed, units === "us" ? 0.1 : 1, most);
  return value === null ? null : units === "us" ? value * measureMl.usFluidOunce : value;
}

/** What would be right for {@link readVolume}. */
export const volumeRange = (units: Units) =>
  units === "us"
    ? `Enter a number from 0.1 to ${Math.floor(LARGEST_ML / measureMl.usFluidOunce)}.`
    : `Enter a number from 1 to ${LARGEST_ML}.`;

/** A volume as it stands in its box. */
export const volumeTyped = (ml: number, units: Units) =>
  String(units === "us" ? Math.round((ml / measureMl.usFluidOunce) * 10) / 10 : ml);

interface NumberBoxProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
  wrong: boolean;
  right: string;
}

/** A number that is typed; what is wrong with it stands below. */
export function NumberBox({ label, value, onChange, wrong, right }: NumberBoxProps) {
  const id = useId();
  return (
    <Form.Group className="mb-3" controlId={id}>
      <Form.Label className="fw-semibold mb-1">{label}</Form.Label>
      <Form.Control
        inputMode="decimal"
        value={value}
        isInvalid={wrong}
        aria-describedby={`${id}-problem`}
        onChange={(event) => onChange(event.target.value)}
      />
      <div id={`${id}-problem`} className="text-danger-emphasis fw-semibold" role={wrong ? "alert" : undefined}>
        {wrong && right}
      </div>
    </Form.Group>
  );
}
