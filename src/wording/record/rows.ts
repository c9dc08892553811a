import type { RowProblem } from "@/core/record/format/csvFacts";

const says: Readonly<Record<RowProblem["code"], string>> = {
  unknown_code: "there is nothing with this name here",
  not_a_moment: "enter a date such as 2026-11-24, or with a time: 2026-11-24 18:30",
  not_one_of: "it is one of",
  required: "fill this in",
  not_understood: "this is not understood here",
};

/** What is wrong with a cell. @example rowProblem({ …, column: "at", code: "required" }) // "at: fill this in." */
export function rowProblemInWords({ column, code, allowed = [] }: RowProblem): string {
  const choices = allowed.length > 0 ? `${code === "required" ? ": it is one of" : ""} ${allowed.join(", ")}` : "";
  return `${column}: ${says[code]}${choices}.`;
}
