"use client";

import { useState } from "react";
import Form from "react-bootstrap/Form";
import { useWatch, type FieldValues, type Path, type PathValue, type UseFormReturn } from "react-hook-form";
import type { ReactNode } from "react";
import { fromTeaspoonsAQuart, measureMl, toTeaspoonsAQuart } from "@/core/units/volume";
import { toCentimetres, toInches } from "@/core/units/length";
import { toCelsius, toFahrenheit } from "@/core/units/temperature";
import type { Units } from "@/wording/units";
import { useUnits } from "../shell/Collection";
import { Field, TextField } from "./fields";

/** What is asked for, with its unit in either system, and the way between them. Forms hold metric numbers, whatever is typed. */
const quantities = {
  warmth: { metric: "°C", us: "°F", toUs: toFahrenheit, toMetric: toCelsius, digits: 1 },
  width: { metric: "cm", us: "inches", toUs: toInches, toMetric: toCentimetres, digits: 2 },
  volume: {
    metric: "mL",
    us: "US fl oz",
    toUs: (ml: number) => ml / measureMl.usFluidOunce,
    toMetric: (ounces: number) => ounces * measureMl.usFluidOunce,
    digits: 2,
  },
  // What a label asks for: teaspoons a quart where it is printed for kitchens that have them.
  rate: {
    metric: "mL per litre of water",
    us: "US teaspoons per US quart of water",
    toUs: toTeaspoonsAQuart,
    toMetric: fromTeaspoonsAQuart,
    digits: 2,
  },
} as const;
export type Quantity = keyof typeof quantities;

interface Props<T extends FieldValues> {
  form: UseFormReturn<T>;
  name: Path<T>;
  of: Quantity;
  label: string;
  hint?: ReactNode;
  /** Where the page is about no collection yet. */
  units?: Units;
}

/** The unit that a quantity is asked for in. @example unitOf("width", "us") // "inches" */
export const unitOf = (of: Quantity, units: Units) => quantities[of][units];

/** A number as it is typed: point or comma. */
const numberIn = (typed: string): number | null => {
  const text = typed.trim().replace(",", ".");
  return text === "" || !Number.isFinite(Number(text)) ? null : Number(text);
};
const rounded = (value: number, digits: number) => String(Number(value.toFixed(digits)));

/** A number of something that keepers measure in their own units. */
export function QuantityField<T extends FieldValues>({ of, label, units: given, ...field }: Props<T>) {
  const shown = useUnits();
  const units = given ?? shown;
  const all = { ...field, label: `${label}, ${unitOf(of, units)}` };
  return units === "metric" ? <TextField {...all} inputMode="decimal" /> : <InUsUnits of={of} {...all} />;
}

function InUsUnits<T extends FieldValues>({ of, ...field }: Omit<Props<T>, "units">) {
  const { form, name } = field;
  const { toUs, toMetric, digits, metric } = quantities[of];
  const value = String(useWatch({ control: form.control, name }) ?? "");
  const [typed, setTyped] = useState<string | null>(null);
  const metricOf = (text: string) => {
    const number = numberIn(text);
    return number === null ? text : rounded(toMetric(number), 4);
  };
  const held = numberIn(value);
  // What was typed stays as it was typed, until something else sets the field.
  const text =
    typed !== null && metricOf(typed) === value ? typed : held === null ? value : rounded(toUs(held), digits);
  return (
    <Field
      {...field}
      hint={
        held === null ? (
          field.hint
        ) : (
          <>
            {field.hint} That is {rounded(held, 1)} {metric}.
          </>
        )
      }
    >
      {(wiring) => (
        <Form.Control
          type="text"
          inputMode="decimal"
          autoComplete="off"
          {...wiring}
          value={text}
          onChange={(event) => {
            setTyped(event.target.value);
            form.setValue(name, metricOf(event.target.value) as PathValue<T, Path<T>>, {
              shouldDirty: true,
              shouldTouch: true,
            });
          }}
        />
      )}
    </Field>
  );
}
