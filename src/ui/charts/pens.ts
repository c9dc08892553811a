/** One colour for each stage of life, in the order of life; a stage's words stand beside it in the legend. */
const pens = ["var(--at-risk)", "var(--infested)", "var(--surer)", "var(--new)", "var(--clear)"] as const;

export function penOf(stage: number): string {
  return pens[stage % pens.length]!;
}

/** What happened on a day. */
export type MarkKind = "treated" | "planned" | "clean" | "found";

/** Shapes as text, so that they read in one colour. */
export const signs: Record<MarkKind, string> = { treated: "▼", planned: "▽", clean: "○", found: "●" };
