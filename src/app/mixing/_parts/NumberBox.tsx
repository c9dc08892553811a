import Form from "react-bootstrap/Form";

/** Reads a number typed with a point or a comma; null when it is none or out of range. */
export function read(typed: string, min: number, max: number): number | null {
  const value = Number(typed.trim().replace(",", "."));
  return typed.trim() !== "" && Number.isFinite(value) && value >= min && value <= max ? value : null;
}

interface NumberBoxProps {
  id: string;
  label: string;
  value: string;
  onChange: (value: string) => void;
  wrong: boolean;
  right: string;
}

/** A number that is typed; what is wrong with it stands below. */
export function NumberBox({ id, label, value, onChange, wrong, right }: NumberBoxProps) {
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
