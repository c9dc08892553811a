"use client";

import { useId, useState } from "react";
import Form from "react-bootstrap/Form";
import type { FieldValues, Path, PathValue, UseFormReturn } from "react-hook-form";
import { dayAndYear } from "@/wording/dates";
import type { Day } from "@/core/shared/days";
import { instantOf, instantsOf, wallTimeIn, withOffset } from "@/zones";
import { useCollection } from "../shell/Collection";
import { Field } from "./fields";

const wallTime = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/;

/**
 * When something happened: day and time as the clock of the collection shows them. What is sent is the instant, with its
 * offset. An hour that is told twice, on the night on which clocks go back, asks which of the two it was.
 */
export function MomentField<T extends FieldValues>({
  form,
  name,
  label,
  hint,
}: {
  form: UseFormReturn<T>;
  name: Path<T>;
  label: string;
  hint?: string;
}) {
  const id = useId();
  const { timeZone } = useCollection();
  const [typed, setTyped] = useState(() => {
    const at = new Date(form.getValues(name) as string);
    return Number.isNaN(at.getTime()) ? "" : wallTimeIn(at, timeZone);
  });
  const [which, setWhich] = useState(0);
  const both = wallTime.test(typed) ? instantsOf(typed, timeZone) : [];
  const put = (wall: string, choice: number) => {
    setTyped(wall);
    setWhich(choice);
    const at = wallTime.test(wall) ? (instantsOf(wall, timeZone)[choice] ?? instantOf(wall, timeZone)) : null;
    form.setValue(name, (at ? withOffset(at, timeZone) : "") as PathValue<T, Path<T>>, {
      shouldValidate: form.formState.isSubmitted,
      shouldDirty: true,
    });
  };
  const dayTyped = wallTime.test(typed) ? dayAndYear(typed.slice(0, 10) as Day) : null;
  return (
    <>
      <Field form={form} name={name} label={label} hint={[dayTyped && `${dayTyped}.`, hint].filter(Boolean).join(" ")}>
        {(wiring) => (
          <Form.Control
            type="datetime-local"
            {...wiring}
            value={typed}
            onChange={(event) => put(event.target.value, 0)}
          />
        )}
      </Field>
      {both.length > 1 && (
        <fieldset className="mb-3">
          <legend className="fs-6 fw-semibold mb-1">This hour occurred twice that night. Which one was it?</legend>
          {both.map((at, i) => (
            <Form.Check
              key={at.getTime()}
              type="radio"
              id={`${id}-${i}`}
              name={`which-${id}`}
              checked={which === i}
              onChange={() => put(typed, i)}
              label={i === 0 ? "The first, before the clocks went back" : "The second, after the clocks went back"}
            />
          ))}
        </fieldset>
      )}
    </>
  );
}
