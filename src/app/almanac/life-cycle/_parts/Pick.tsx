"use client";

import Form from "react-bootstrap/Form";

interface Props<T extends string> {
  id: string;
  label: string;
  value: T;
  ids: readonly T[];
  /** Names of the ids; the ids themselves where left out. */
  names?: Readonly<Record<T, string>>;
  onPick: (value: T) => void;
}

/** One of a list that is kept by the page, not by a form. */
export function Pick<T extends string>({ id, label, value, ids, names, onPick }: Props<T>) {
  return (
    <Form.Group controlId={id} className="mb-3">
      <Form.Label className="fw-semibold mb-1">{label}</Form.Label>
      <Form.Select value={value} onChange={(event) => onPick(event.target.value as T)}>
        {ids.map((one) => (
          <option key={one} value={one}>
            {names ? names[one] : one}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
}
