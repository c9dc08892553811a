/** How a plant stands; one mark each. A plant set apart carries its state under a bell jar. */
export const plantStates = ["clear", "overdue", "new", "atRisk", "infested", "surer"] as const;
export type PlantState = (typeof plantStates)[number];
