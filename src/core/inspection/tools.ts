/** What a look is made with, from least to most thorough. */
export const toolIds = ["eye", "lamp", "loupe", "paper", "unpotted"] as const;
export type ToolId = (typeof toolIds)[number];
