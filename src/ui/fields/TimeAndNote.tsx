"use client";

import { useState } from "react";
import type { FieldValues, Path, UseFormReturn } from "react-hook-form";
import { NoteField } from "./fields";
import { LongAgoField } from "./LongAgoField";
import { MomentField } from "./MomentField";

/** When it was, and a note: folded together, since most of it is written down as it is done. What is wrong with it lies open. */
export function TimeAndNote<T extends FieldValues>({
  form,
  longAgo,
  noteLabel = "Note",
  open = false,
}: {
  form: UseFormReturn<T>;
  /** The field that says that a moment years back is meant; left out where none is taken. */
  longAgo?: Path<T>;
  noteLabel?: string;
  /** Whether it lies open from the first on: what is mended has a time of its own. */
  open?: boolean;
}) {
  const [opened, setOpened] = useState(open);
  const { dirtyFields, errors } = form.formState;
  const touched = ["at", "note"].some((name) => name in dirtyFields || name in errors);
  return (
    <details className="mb-3" open={opened || touched} onToggle={({ currentTarget }) => setOpened(currentTarget.open)}>
      <summary>{open || touched ? "Time and note" : "Time: now. Change it, or add a note"}</summary>
      <MomentField form={form} name={"at" as Path<T>} label="When" />
      {longAgo && <LongAgoField form={form} at={"at" as Path<T>} name={longAgo} />}
      <NoteField form={form} name={"note" as Path<T>} label={noteLabel} />
    </details>
  );
}
