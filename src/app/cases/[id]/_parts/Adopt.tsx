"use client";

import { useEffect } from "react";
import type { FieldValues, UseFormReturn } from "react-hook-form";
import { SubmitRow } from "@/ui/fields/fields";
import { AlsoFor, type AlsoForHandle } from "./AlsoFor";
import type { Chosen } from "./ways";

export interface Adopting {
  // The form's own shape does not matter here.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly form: UseFormReturn<any, any, FieldValues>;
  readonly trouble: string | null;
  readonly problem: string | undefined;
  /** Others that get it too. */
  readonly also: AlsoForHandle;
}

/** Tells the form what is chosen here, and adopts it. */
export function Adopt({
  chosen,
  choose,
  adopting,
}: {
  chosen: Chosen;
  choose: (chosen: Chosen) => void;
  adopting: Adopting;
}) {
  // Written as one text, so that the form is told only when something has changed.
  const wanted = JSON.stringify(chosen);
  useEffect(() => {
    choose(JSON.parse(wanted) as Chosen);
    // What it does stays the same, though it is made anew at every drawing.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [wanted]);
  return (
    <>
      <AlsoFor {...adopting.also} />
      <div className="text-danger-emphasis fw-semibold" role={adopting.problem ? "alert" : undefined}>
        {adopting.problem}
      </div>
      <SubmitRow form={adopting.form} trouble={adopting.trouble} label="Adopt this plan" />
    </>
  );
}
