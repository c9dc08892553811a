import type { GrowthFormId } from "./growthForms";

/** How wet a plant is kept, as far as gnats care. */
export const keptIds = ["dry", "usual", "wet"] as const;
export type KeptId = (typeof keptIds)[number];

/** How wet plants of a form are usually kept, where nobody has said (common practice, no source). */
const keptByForm: Partial<Record<GrowthFormId, KeptId>> = {
  ...Object.fromEntries(
    (
      [
        "rosetteSucculent",
        "tubercledCactus",
        "columnarCactus",
        "jointedCactus",
        "stemSucculent",
        "caudexSucculent",
      ] as const
    ).map((form) => [form, "dry"]),
  ),
  softHerb: "wet",
  fern: "wet",
};

/** How wet a plant is kept: what its keeper says, else what its form asks for. @example keptOf({ growthForm: "fern", kept: null }) // "wet" */
export function keptOf({
  growthForm,
  kept,
}: {
  readonly growthForm: GrowthFormId;
  readonly kept: KeptId | null;
}): KeptId {
  return kept ?? keptByForm[growthForm] ?? "usual";
}
