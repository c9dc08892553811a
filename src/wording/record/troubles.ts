/** What is missing on the pages while some work of its own fails, by that work. */
const sentences: Readonly<Record<string, string>> = {
  derive: "Plant states could not be updated; what you see may be older than your record.",
  judge: "Cases could not be updated; how sure each is may be older than your record.",
  carry: "What plants may carry could not be updated; chances may be older than your record.",
  sense: "The sensors could not be reached.",
  backup: "No backup could be made.",
};

/** @example troubleSentence("sense") // "The devices that tell the air could not be asked." */
export function troubleSentence(work: string): string {
  return sentences[work] ?? "An automatic task failed.";
}
