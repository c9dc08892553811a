import type { TimerId } from "../../acts/timerIds";
import type { Day } from "../../shared/days";
import type { PlannedDose } from "../../record/facts/kinds/programme";
import type { RoomProgrammeId } from "../../record/facts/kinds/roomProgramme";
import type { PestId } from "../../knowledge/pests/pests";
import type { GnatDue } from "../../advice/seasons/gnats/due";

/** What a programme of a room or of the collection asks for. */
export type RoomAsked =
  | GnatDue
  | { readonly what: "winterBatch"; readonly plants: number; readonly behind: number }
  | { readonly what: "winterMove"; readonly plants: number }
  | { readonly what: "winterSpray"; readonly plants: number }
  | { readonly what: "round"; readonly plants: number }
  | { readonly what: "sachets"; readonly again: boolean };

/** It, with where and when. */
export interface RoomDue {
  readonly programme: RoomProgrammeId;
  readonly placeId: string | null;
  readonly placeName: string;
  readonly on: Day;
  readonly what: RoomAsked;
}

/** What a line of a calendar is about. */
export type CalendarMatter =
  | {
      readonly kind: "treat";
      readonly plantId: string;
      readonly code: string;
      readonly planned: PlannedDose;
      readonly pest: PestId | null;
      /** Days that it is late. */
      readonly late: number;
    }
  | { readonly kind: "looks"; readonly codes: readonly string[]; readonly plants: number }
  | { readonly kind: "room"; readonly due: RoomDue }
  | { readonly kind: "timer"; readonly what: TimerId; readonly code: string | null; readonly endsAt: Date };

/** One thing that is due. */
export type CalendarEntry = CalendarMatter & {
  /** The same for the same thing, whatever day it is moved to. */
  readonly uid: string;
  /** Its day; what is overdue stands on the day that it is. */
  readonly day: Day;
};

/** The identity of what a room asks for, however its day moves; batches are told apart by their day. */
export function uidOf({ programme, placeId, on, what }: RoomDue): string {
  const own = what.what === "way" ? what.way : what.what;
  const dated = what.what === "winterBatch" || what.what === "winterSpray" ? `-${on}` : "";
  return `${programme}-${placeId ?? "all"}-${own}${dated}`;
}
