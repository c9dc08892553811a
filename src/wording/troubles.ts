/** What is missing on the pages while some work of its own fails, by that work. */
const sentences: Readonly<Record<string, string>> = {
  derive: "How plants stand could not be brought up to date; what you see may be older than your record.",
  judge: "Cases could not be judged anew; how sure each is may be older than your record.",
  carry: "What plants may carry could not be worked out anew; chances may be older than your record.",
  sense: "The devices that tell the air could not be asked.",
  backup: "No backup could be made.",
};

/** @example troubleSentence("sense") // "The devices that tell the air could not be asked." */
export function troubleSentence(work: string): string {
  return sentences[work] ?? "Something could not be done by itself.";
}
