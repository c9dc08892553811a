const PENS = 5;

/** One colour for each stage of life, in the order of life, none of them a plant's state; its words stand beside it in the legend. */
export function penOf(stage: number): string {
  return `var(--stage-${stage % PENS})`;
}

/** Animals that sit where no spray comes, whatever their stage. */
export const deepPen = { stroke: "var(--bs-body-color)", strokeDasharray: "1 4", strokeLinecap: "round" } as const;

/** What happened on a day. */
export type MarkKind = "treated" | "planned" | "clean" | "found";

/** Shapes as text, so that they read in one colour. */
export const signs: Record<MarkKind, string> = { treated: "▼", planned: "▽", clean: "○", found: "●" };
