import type { Day } from "../../shared/days";
import { byMoment, standing, type Closing, type Look } from "../facts/facts";
import type { PestId } from "../../knowledge/pests/pests";
import { isOutsideModel } from "./outsideModel";

/** One pest on one plant, until clear: what standing finds and closings come to. */
export interface Case {
  readonly id: string;
  /** Every id under which a fact of it was written down, its own among them. */
  readonly aliases: readonly string[];
  readonly plantId: string;
  readonly pest: PestId;
  /** When the first of its finds was made. */
  readonly openedAt: Date;
  readonly openedOn: Day;
  /** When finds of it were made, ascending. */
  readonly finds: readonly Date[];
  readonly open: boolean;
  readonly closing: Closing | null;
}

interface Found {
  readonly at: Date;
  readonly recordedAt: Date;
  readonly id: string;
  readonly look: Look;
  readonly find: Look["finds"][number];
}

/**
 * The cases of one plant, oldest first. Of each pest the first find that stands opens a case, those after it belong to it, and a
 * closing that stands ends it; the next find opens another. Whatever is struck out, written down late or sent in another
 * order, the cases are those that the facts that stand come to.
 *
 * A case bears the id that was made first of those its facts were filed under; where another case bears it already, that of
 * its first find.
 */
export function casesOf(looks: readonly Look[], closings: readonly Closing[]): Case[] {
  const finds = standing(looks)
    .filter((look) => !isOutsideModel(look))
    .flatMap((look) =>
      look.finds.map((find): Found => ({ at: look.at, recordedAt: look.recordedAt, id: find.id, look, find })),
    );
  const closed = standing(closings).filter((closing) => !isOutsideModel(closing));
  const pests = [...new Set(finds.map(({ find }) => find.pest))];
  const runs = pests.flatMap((pest) =>
    runsOf(
      finds.filter(({ find }) => find.pest === pest),
      closed.filter((closing) => closing.pest === pest),
    ),
  );
  const taken = new Set<string>();
  return runs
    .toSorted((a, b) => byMoment(a.finds[0]!, b.finds[0]!))
    .map(({ finds: own, closing }) => {
      const first = own[0]!;
      const filed = [...own.map(({ find }) => find.caseId), ...(closing ? [closing.caseId] : [])].toSorted();
      const id = filed.find((one) => !taken.has(one)) ?? first.id;
      taken.add(id);
      return {
        id,
        aliases: [...new Set([id, ...filed, ...own.map((found) => found.id)])],
        plantId: first.look.plantId,
        pest: first.find.pest,
        openedAt: first.at,
        openedOn: first.look.day,
        finds: own.map(({ at }) => at),
        open: closing === null,
        closing,
      };
    });
}

/** The case that bears an id, or under whose facts it was written; null for none. */
export function caseNamed(cases: readonly Case[], id: string): Case | null {
  return cases.find((one) => one.id === id) ?? cases.findLast((one) => one.aliases.includes(id)) ?? null;
}

/** The case to which what was filed under an id at a moment belongs: a case that was torn in two has both its halves' facts. */
export function caseFiledUnder(cases: readonly Case[], id: string, at: Date): Case | null {
  const named = cases.filter((one) => one.aliases.includes(id));
  return named.find((one) => ranAt(one, at)) ?? named.findLast((one) => one.openedAt <= at) ?? named[0] ?? null;
}

/** Whether a case was open at a moment. */
function ranAt({ openedAt, closing }: Pick<Case, "openedAt" | "closing">, at: Date): boolean {
  return openedAt <= at && (closing === null || at <= closing.at);
}

type Run = { readonly finds: Found[]; readonly closing: Closing | null };

function runsOf(finds: readonly Found[], closings: readonly Closing[]): Run[] {
  const runs: Run[] = [];
  let open: Found[] = [];
  const events = [
    ...finds.map((found) => ({ ...found, found, closing: null })),
    ...closings.map((closing) => ({ ...closing, found: null, closing })),
  ].toSorted(byMoment);
  for (const { found, closing } of events) {
    if (found) open.push(found);
    else if (open.length > 0) {
      runs.push({ finds: open, closing });
      open = [];
    }
  }
  return open.length > 0 ? [...runs, { finds: open, closing: null }] : runs;
}
