"use client";

import { useState, useSyncExternalStore } from "react";
import { useWatch, type FieldValues, type Path, type UseFormReturn } from "react-hook-form";
import { isOfAnotherTime } from "./anotherTime";
import { NoteField } from "./fields";
import { LongAgoField } from "./LongAgoField";
import { MomentField } from "./MomentField";

const never = () => () => {};

/**
 * When it was, and a note: folded together, since most of it is written down as it is done. What is wrong with it lies open, and so does
 * what is of another time: something mended, brought back after a reload, or begun on a page that was kept.
 */
export function TimeAndNote<T extends FieldValues>({
  form,
  longAgo,
  noteLabel = "Note",
}: {
  form: UseFormReturn<T>;
  /** The field that says that a moment years back is meant; left out where none is taken. */
  longAgo?: Path<T>;
  noteLabel?: string;
}) {
  const [opened, setOpened] = useState(false);
  const [begunAt] = useState(() => Date.now());
  const live = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  const [at, note] = useWatch({ control: form.control, name: ["at" as Path<T>, "note" as Path<T>] }) as unknown[];
  const { dirtyFields, errors } = form.formState;
  const touched = ["at", "note"].some((name) => name in dirtyFields || name in errors);
  const ofAnotherTime = live && (Boolean(note) || isOfAnotherTime(String(at), begunAt));
  return (
    <details
      className="mb-3"
      open={opened || touched || ofAnotherTime}
      onToggle={({ currentTarget }) => setOpened(currentTarget.open)}
    >
      <summary>{touched || ofAnotherTime ? "Time and note" : "Time: now. Change it, or add a note"}</summary>
      <MomentField form={form} name={"at" as Path<T>} label="When" />
      {longAgo && <LongAgoField form={form} at={"at" as Path<T>} name={longAgo} />}
      <NoteField form={form} name={"note" as Path<T>} label={noteLabel} />
    </details>
  );
}
