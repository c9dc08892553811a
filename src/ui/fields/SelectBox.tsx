"use client";

import Form from "react-bootstrap/Form";
import { useId } from "react";
import type { Options } from "./options";

interface Props<T extends string> {
  label: string;
  value: T;
  options: Options<T>;
  onPick: (value: T) => void;
  className?: string;
}

/** One of a list that opens, where the page keeps what is chosen and no form does. */
export function SelectBox<T extends string>({ label, value, options, onPick, className = "mb-3" }: Props<T>) {
  return (
    <Form.Group controlId={useId()} className={className}>
      <Form.Label className="fw-semibold mb-1">{label}</Form.Label>
      <Form.Select value={value} onChange={(event) => onPick(event.target.value as T)}>
        {options.map(([one, name]) => (
          <option key={one} value={one}>
            {name}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
}
