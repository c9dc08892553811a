import type { GrowthFormId } from "./growthForms";

/** How wet a plant is kept, as far as gnats care. */
export const moistureIds = ["dry", "usual", "wet"] as const;
export type MoistureId = (typeof moistureIds)[number];

/** How wet plants of a form are usually kept, where nobody has said (common practice, no source). */
const keptByForm: Partial<Record<GrowthFormId, MoistureId>> = {
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
export function moistureOf({
  growthForm,
  kept,
}: {
  readonly growthForm: GrowthFormId;
  readonly kept: MoistureId | null;
}): MoistureId {
  return kept ?? keptByForm[growthForm] ?? "usual";
}
