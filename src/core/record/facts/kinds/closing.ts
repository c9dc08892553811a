import { z } from "zod";
import { id, moment, text } from "../../../shared/fields";
import { pestIds } from "../../../knowledge/pests/pests";
import { techniqueIds } from "../../../knowledge/remedies/remedies";
import { factKind } from "../kind";

export const outcomes = ["clear", "givenUp", "lost"] as const;
export type OutcomeId = (typeof outcomes)[number];

export const closeCase = z.object({ id, caseId: id, outcome: z.enum(outcomes), at: moment, note: text(2000) });
export type CloseCase = z.output<typeof closeCase>;

const threeWeights = z.tuple([z.number(), z.number(), z.number()]);

/** The keeper has called a case over. */
export const closing = factKind({
  kind: "closing",
  table: "closings",
  command: closeCase,
  own: z.object({
    plantId: z.string(),
    /** The case it was filed under, and that case's pest. */
    caseId: z.string(),
    pest: z.enum(pestIds),
    outcome: z.enum(outcomes),
    note: z.string(),
    /** How likely it was over when it was closed; null where that was not reckoned. */
    pClear: z.number().nullable(),
    /**
     * What the case had told of the keeper's hand: the weights of reach ×2.5, ×1, ×⅓ with a technique, and those they began with, the usual
     * ones where none are kept; null where nothing was.
     */
    reach: z
      .object({ technique: z.enum(techniqueIds), weights: threeWeights, prior: threeWeights.optional() })
      .nullable(),
  }),
  columns: {
    plantId: "uuid",
    caseId: "uuid",
    pest: "text",
    outcome: "text",
    note: "text",
    pClear: "number",
    reach: "json",
  },
  shownOn: ["plant", "case"],
});
