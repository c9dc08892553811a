/** What plants are sprayed with on their way in: what each kind asks for, or one for all that bear it (both are common practice). */
export const winterRemedies = ["byKind", "soap", "oil"] as const;
export type WinterRemedy = (typeof winterRemedies)[number];
