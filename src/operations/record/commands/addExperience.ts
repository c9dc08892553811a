import type { FileProblem } from "@/core/record/format/read";
import { readExperience } from "@/core/record/format/experienceFile";
import type { Context } from "../../shared/context";
import { refuse, transact, type Outcome } from "../../shared/outcome";
import { keeperCode, putExperience } from "../putExperience";

/** How many keepers other than this one the file told of; or what is wrong with it, and nothing was kept. */
export type ExperienceAdded = { readonly keepers: number } | { readonly refused: readonly FileProblem[] };

/** Reads an experience file in: judgements begin with it from now on, where the keeper's numbers are not ours alone. Twice is once. */
export function addExperience(
  context: Context,
  { text }: { readonly text: string },
): Promise<Outcome<ExperienceAdded>> {
  return transact(context, "own", context.collection.id, async (scope) => {
    const read = readExperience(text);
    if (!read.ok) return { refused: read.problems };
    const own = keeperCode(scope.collectionId);
    const keepers = read.file.from.filter(({ keeper }) => keeper !== own).length;
    if (keepers === 0) refuse("", "only_own_experience");
    if (!(await putExperience(scope, read.file))) refuse("", "too_many_keepers");
    scope.invalidateAll();
    return { keepers };
  });
}
