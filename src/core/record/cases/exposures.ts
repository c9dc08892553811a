import type { PestId } from "../../knowledge/pests/pests";
import { stayAt, type Stay } from "./stays";

/** A case on a plant, as what stands beside it meets it. */
export interface Source {
  readonly plantId: string;
  readonly code: string;
  readonly caseId: string;
  readonly pest: PestId;
  readonly openedAt: Date;
  /** When it was closed; null while it is open. */
  readonly closedAt: Date | null;
  readonly finds: readonly Date[];
  readonly stays: readonly Stay[];
}

/** A plant stood beside a case. */
export interface Exposure {
  readonly sourcePlantId: string;
  readonly sourceCode: string;
  readonly caseId: string;
  readonly pest: PestId;
  /** The last time that it began to matter: a find beside it, or the day one was put beside the other. */
  readonly since: Date;
}

/**
 * The cases a plant has stood beside, oldest first: at the same place when something was found, or put together while the case
 * was open. Each case counts once, from the last such moment.
 */
export function exposuresOf(plantId: string, stays: readonly Stay[], sources: readonly Source[]): Exposure[] {
  return sources
    .filter((source) => source.plantId !== plantId)
    .flatMap((source) => {
      const moments = [...findsBeside(stays, source), ...putTogether(stays, source)];
      if (moments.length === 0) return [];
      const since = new Date(Math.max(...moments.map((at) => at.getTime())));
      const { caseId, pest, code: sourceCode, plantId: sourcePlantId } = source;
      return [{ sourcePlantId, sourceCode, caseId, pest, since }];
    })
    .toSorted((a, b) => a.since.getTime() - b.since.getTime() || (a.caseId < b.caseId ? -1 : 1));
}

function findsBeside(stays: readonly Stay[], source: Source): Date[] {
  return source.finds.filter((at) => {
    const here = stayAt(stays, at)?.placeId;
    return here !== undefined && here === stayAt(source.stays, at)?.placeId;
  });
}

function putTogether(stays: readonly Stay[], { stays: theirs, openedAt, closedAt }: Source): Date[] {
  return stays.flatMap((mine) =>
    theirs.flatMap((other) => {
      if (mine.placeId !== other.placeId) return [];
      const began = mine.from > other.from ? mine.from : other.from;
      const ended = [mine.until, other.until].some((until) => until !== null && until <= began);
      const open = openedAt <= began && (closedAt === null || began < closedAt);
      return !ended && open ? [began] : [];
    }),
  );
}
