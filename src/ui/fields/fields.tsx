"use client";

import { useId, type ReactNode } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { get, type FieldValues, type Path, type UseFormReturn } from "react-hook-form";
import type { Options } from "./options";

interface FieldProps<T extends FieldValues> {
  form: UseFormReturn<T>;
  name: Path<T>;
  label: string;
  hint?: ReactNode;
}

function messageOf<T extends FieldValues>(form: UseFormReturn<T>, name: string): string | undefined {
  const error = get(form.formState.errors, name) as { message?: string; root?: { message?: string } } | undefined;
  return error?.message ?? error?.root?.message;
}

/** What is wrong with a field and what would be right; its control points here. */
export function FieldProblem({ id, message }: { id: string; message: string | undefined }) {
  return (
    <div id={`${id}-problem`} className="text-danger-emphasis fw-semibold" role={message ? "alert" : undefined}>
      {message}
    </div>
  );
}

/** Label, control, hint and problem, tied together for those who cannot see them side by side. */
export function Field<T extends FieldValues>({
  form,
  name,
  label,
  hint,
  children,
}: FieldProps<T> & {
  children: (wiring: { id: string; isInvalid: boolean; "aria-describedby": string }) => ReactNode;
}) {
  const message = messageOf(form, name);
  // Two forms of one page may ask for the same: each field is known by an id of its own.
  const id = useId();
  return (
    <div className="mb-3">
      <Form.Label htmlFor={id} className="mb-1 fw-semibold">
        {label}
      </Form.Label>
      {children({ id, isInvalid: message !== undefined, "aria-describedby": `${id}-hint ${id}-problem` })}
      {hint && (
        <Form.Text id={`${id}-hint`} className="d-block">
          {hint}
        </Form.Text>
      )}
      <FieldProblem id={id} message={message} />
    </div>
  );
}

/** A line of text, a number or a day typed by hand; what was typed stays as it was typed. */
export function TextField<T extends FieldValues>({
  type = "text",
  inputMode,
  list,
  autoComplete = "off",
  onTyped,
  onLeft,
  ...field
}: FieldProps<T> & {
  type?: "text" | "date" | "password";
  inputMode?: "decimal";
  list?: string;
  autoComplete?: "off" | "username" | "current-password" | "new-password";
  /** What is to follow from each letter, and what once the field is left. */
  onTyped?: (value: string) => void;
  onLeft?: (value: string) => void;
}) {
  const heard = {
    onChange: ({ target }: { target: { value: string } }) => onTyped?.(target.value),
    onBlur: ({ target }: { target: { value: string } }) => onLeft?.(target.value),
  };
  return (
    <Field {...field}>
      {(wiring) => (
        <Form.Control
          type={type}
          inputMode={inputMode}
          list={list}
          autoComplete={autoComplete}
          {...wiring}
          {...field.form.register(field.name, heard)}
        />
      )}
    </Field>
  );
}

export function NoteField<T extends FieldValues>(field: FieldProps<T>) {
  return (
    <Field {...field}>
      {(wiring) => <Form.Control as="textarea" rows={2} {...wiring} {...field.form.register(field.name)} />}
    </Field>
  );
}

export function SelectField<T extends FieldValues>({
  options,
  onChoose,
  ...field
}: FieldProps<T> & { options: Options; onChoose?: (value: string) => void }) {
  const onChange = (event: { target: { value: string } }) => onChoose?.(event.target.value);
  return (
    <Field {...field}>
      {(wiring) => (
        <Form.Select {...wiring} {...field.form.register(field.name, { onChange })}>
          {options.map(([value, label]) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </Form.Select>
      )}
    </Field>
  );
}

export function SwitchField<T extends FieldValues>({ form, name, label, hint }: FieldProps<T>) {
  const id = useId();
  return (
    <div className="mb-3">
      <Form.Check id={id} label={label} {...form.register(name)} />
      {hint && <Form.Text>{hint}</Form.Text>}
    </div>
  );
}

/** Several of a list, as large boxes to tick. */
export function ChecksField<T extends FieldValues>({
  form,
  name,
  label,
  hint,
  options,
}: FieldProps<T> & { options: Options }) {
  const message = messageOf(form, name);
  const id = useId();
  return (
    <fieldset className="mb-3" aria-describedby={`${id}-problem`}>
      <legend className="fs-6 fw-semibold mb-0">{label}</legend>
      {hint && <Form.Text>{hint}</Form.Text>}
      <div className="row row-cols-1 row-cols-sm-2 row-cols-xl-3 gx-3">
        {options.map(([value, text]) => (
          <div className="col" key={value}>
            <Form.Check id={`${id}-${value}`} value={value} label={text} {...form.register(name)} />
          </div>
        ))}
      </div>
      <FieldProblem id={id} message={message} />
    </fieldset>
  );
}

/** One of a few, as large buttons to press. */
export function ChoiceField<T extends FieldValues>({
  form,
  name,
  label,
  hint,
  options,
  onChoose,
}: FieldProps<T> & { options: Options; onChoose?: (value: string) => void }) {
  const message = messageOf(form, name);
  const id = useId();
  return (
    <fieldset className="mb-3">
      <legend className="fs-6 fw-semibold mb-1">{label}</legend>
      <div className="d-flex flex-wrap gap-2">
        {options.map(([value, text]) => (
          <div key={value}>
            <input
              type="radio"
              className="btn-check"
              id={`${id}-${value}`}
              value={value}
              autoComplete="off"
              {...form.register(
                name,
                onChoose && { onChange: (event: { target: { value: string } }) => onChoose(event.target.value) },
              )}
            />
            <label className="btn btn-outline-primary" htmlFor={`${id}-${value}`}>
              {text}
            </label>
          </div>
        ))}
      </div>
      {hint && <Form.Text>{hint}</Form.Text>}
      <div className="text-danger-emphasis fw-semibold" role={message ? "alert" : undefined}>
        {message}
      </div>
    </fieldset>
  );
}

/** The end of every form: what went wrong, and the one press that carries the command out. */
export function SubmitRow<T extends FieldValues>({
  form,
  trouble,
  label,
  variant = "primary",
  children,
}: {
  form: UseFormReturn<T>;
  trouble: string | null;
  label: string;
  variant?: "primary" | "outline-primary";
  children?: ReactNode;
}) {
  const { isSubmitting } = form.formState;
  return (
    <>
      {trouble && (
        <Alert variant="danger" role="alert">
          {trouble}
        </Alert>
      )}
      <div className="d-flex flex-wrap gap-2 align-items-center">
        <Button type="submit" variant={variant} disabled={isSubmitting}>
          {isSubmitting ? "Saving …" : label}
        </Button>
        {children}
      </div>
    </>
  );
}
