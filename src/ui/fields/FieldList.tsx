"use client";

import type { ComponentProps, ReactNode } from "react";
import type { FieldValues, Path, UseFormReturn } from "react-hook-form";
import { ChecksField, ChoiceField, SelectField, SwitchField, TextField } from "./fields";
import type { Options } from "./options";
import { QuantityField } from "./QuantityField";

/** What a kind of field is given beside its form, its name and its label. */
type Beside<Props> = Omit<Props, "form" | "name" | "label">;

/** A field of a form as it is described: what it asks for under a name of the form's schema. */
export interface Described<Name extends string> {
  readonly name: Name;
  readonly drawn: <T extends FieldValues>(form: UseFormReturn<T>) => ReactNode;
}

/** Names are checked where the fields meet their form. */
const described = <Name extends string>(
  name: Name,
  drawn: <T extends FieldValues>(field: { form: UseFormReturn<T>; name: Path<T> }) => ReactNode,
): Described<Name> => ({
  name,
  drawn: <T extends FieldValues>(form: UseFormReturn<T>) => drawn({ form, name: name as unknown as Path<T> }),
});

/** A line of text. */
export const text = <N extends string>(
  name: N,
  label: string,
  more: Beside<ComponentProps<typeof TextField>> = {},
): Described<N> => described(name, (field) => <TextField {...field} label={label} {...more} />);

/** A number, typed with a point or a comma. */
export const number = <N extends string>(name: N, label: string, hint?: ReactNode): Described<N> =>
  text(name, label, { inputMode: "decimal", hint });

/** A day of the calendar. */
export const date = <N extends string>(name: N, label: string, hint?: ReactNode): Described<N> =>
  text(name, label, { type: "date", hint });

/** Something that keepers measure in their own units. */
export const quantity = <N extends string>(
  name: N,
  of: ComponentProps<typeof QuantityField>["of"],
  label: string,
  hint?: ReactNode,
): Described<N> => described(name, (field) => <QuantityField {...field} of={of} label={label} hint={hint} />);

/** Yes or no. */
export const yesOrNo = <N extends string>(name: N, label: string, hint?: ReactNode): Described<N> =>
  described(name, (field) => <SwitchField {...field} label={label} hint={hint} />);

interface OfOptions {
  readonly hint?: ReactNode;
  readonly onChoose?: (value: string) => void;
}

/** One of many, from a list that opens. */
export const select = <N extends string>(
  name: N,
  label: string,
  options: Options,
  more: OfOptions = {},
): Described<N> => described(name, (field) => <SelectField {...field} label={label} options={options} {...more} />);

/** One of a few, as buttons. */
export const choice = <N extends string>(
  name: N,
  label: string,
  options: Options,
  more: OfOptions = {},
): Described<N> => described(name, (field) => <ChoiceField {...field} label={label} options={options} {...more} />);

/** Several of a list, as boxes. */
export const checks = <N extends string>(name: N, label: string, options: Options, hint?: ReactNode): Described<N> =>
  described(name, (field) => <ChecksField {...field} label={label} options={options} hint={hint} />);

/** Fields one below the other, or, with `columns`, beside each other in columns of these classes, the first again after the last. */
export function FieldList<T extends FieldValues>({
  form,
  fields,
  columns,
}: {
  form: UseFormReturn<T>;
  /** What is not asked for now is left out. */
  fields: readonly (Described<Path<T>> | false | null)[];
  columns?: readonly string[];
}) {
  const asked = fields.filter((field) => field !== false && field !== null);
  const drawn = asked.map(({ name, drawn: draw }, i) => (
    <div key={name} className={columns?.[i % columns.length]}>
      {draw(form)}
    </div>
  ));
  return columns ? <div className="row gx-3">{drawn}</div> : drawn;
}
