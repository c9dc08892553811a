import type { Visibility } from "../../knowledge/pests/pests";
import type { SpotId } from "../../knowledge/plants/spots";

export interface Tool {
  /** Chance that one animal on an examined spot is seen, on open and sheltered spots, for large and small animals. */
  readonly chance: Readonly<Record<Exclude<Visibility, "unseen">, readonly [open: number, sheltered: number]>>;
  /** The same in places where no brush and no spray comes, whatever its size. */
  readonly deep: number;
  /** Spots it can be used on; all where left out. */
  readonly onlyOn?: readonly SpotId[];
  /** It shows only what moves. */
  readonly movingOnly?: true;
}

const foliage = [
  "crown",
  "axil",
  "underside",
  "upperSide",
  "vein",
  "newLeaf",
  "flower",
  "stem",
  "sheath",
  "areole",
  "gap",
] as const satisfies readonly SpotId[];

/**
 * What a look is made with, from least to most thorough. Source: our own estimates (HOUSE).
 */
export const tools = {
  eye: { chance: { large: [0.6, 0.25], small: [0.1, 0.03] }, deep: 0 },
  lamp: { chance: { large: [0.75, 0.4], small: [0.2, 0.08] }, deep: 0.03 },
  loupe: { chance: { large: [0.9, 0.6], small: [0.7, 0.4] }, deep: 0.08 },
  paper: { chance: { large: [0.5, 0.1], small: [0.5, 0.1] }, deep: 0, onlyOn: foliage, movingOnly: true },
  unpotted: { chance: { large: [0.85, 0.8], small: [0.6, 0.55] }, deep: 0.5, onlyOn: ["roots", "neck", "pot"] },
} as const satisfies Record<string, Tool>;

export type ToolId = keyof typeof tools;
export const toolIds = Object.keys(tools) as [ToolId, ...ToolId[]];
