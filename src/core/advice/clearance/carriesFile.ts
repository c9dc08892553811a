import { reckonCarriage } from "../../model/carriage/carriage";
import { CaseProblem } from "../../model/clearance/caseProblem";
import { expandCarriage } from "../../record/format/expand";
import type { FileProblem } from "../../record/format/read";
import type { CarriageFile } from "../../record/format/schema";

/** What `carries` says of a plant on which nothing was found. */
export interface CarriageAnswer {
  readonly pCarries: number;
  readonly pUnseen: number;
  /** The arrival first, then the streams in the order of the file. */
  readonly routes: readonly number[];
  /** Only where the file has a look. */
  readonly pFind?: number;
  readonly pCarriesAfterClean?: number;
}

export type Carries =
  | { readonly ok: true; readonly answer: CarriageAnswer }
  | { readonly ok: false; readonly problems: readonly FileProblem[] };

/** What a plant may carry unseen, for a carriage file read without problems. */
export function carriesFile(file: CarriageFile): Carries {
  try {
    const { looks, pUnseen, ...answer } = reckonCarriage(expandCarriage(file));
    // A file is followed to its beginning.
    return { ok: true, answer: { ...answer, pUnseen: pUnseen!, ...looks[0] } };
  } catch (error) {
    if (!(error instanceof CaseProblem)) throw error;
    return { ok: false, problems: [{ path: "timeStepDays", message: error.message }] };
  }
}
