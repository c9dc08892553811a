import type { Day } from "../../shared/days";
import { byMoment, standing, type RoomEnding, type RoomProgramme } from "../../record/facts/facts";
import type { Chosen, RoomProgrammeId } from "../../record/facts/kinds/roomProgramme";

interface Begun<K extends RoomProgrammeId> {
  readonly programme: K;
  readonly placeId: string | null;
  readonly begunOn: Day;
  readonly begunAt: Date;
  /** What was chosen last. */
  readonly chosen: Chosen<K>;
}
/** A programme of a room or of the collection that has begun and not ended. */
export type Running<K extends RoomProgrammeId = RoomProgrammeId> = { [P in K]: Begun<P> }[K];

/**
 * The programmes that run: of each kind and place those begun since its last ending, as one that began with the first and goes on as
 * was chosen last. What was struck out counts nothing. Any order in; the oldest first out.
 * @example runningProgrammes([], []) // []
 */
export function runningProgrammes(
  programmes: readonly RoomProgramme[],
  endings: readonly RoomEnding[],
): readonly Running[] {
  const key = ({ programme, placeId }: Pick<RoomProgramme, "programme" | "placeId">) => `${programme} ${placeId}`;
  const running = new Map<string, Running>();
  const all = [
    ...standing(programmes).map((fact) => ({ ...fact, ends: false as const })),
    ...standing(endings).map((fact) => ({ ...fact, ends: true as const })),
  ].toSorted(byMoment);
  for (const fact of all) {
    if (fact.ends) running.delete(key(fact));
    else {
      const before = running.get(key(fact));
      const { programme, placeId, chosen } = fact;
      running.set(key(fact), {
        ...{ programme, placeId, chosen },
        begunOn: before?.begunOn ?? fact.day,
        begunAt: before?.begunAt ?? fact.at,
      } as Running);
    }
  }
  return [...running.values()];
}

/** The running programmes of one kind. */
export function ofKind<K extends RoomProgrammeId>(all: readonly Running[], kind: K): readonly Running<K>[] {
  return all.filter((one) => one.programme === kind) as readonly Running[] as readonly Running<K>[];
}
