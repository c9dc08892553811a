import type { CalendarMatter, RoomAsked, RoomDue } from "@/core/schedule/calendar/entries";
import { assertNever } from "@/core/shared/assertNever";
import type { PlannedDose } from "@/core/record/facts/kinds/programme";
import type { PestId } from "@/core/knowledge/pests/pests";

import { plannedInWords } from "../names/acts";
import { dayCount } from "../dates";
import { pestName } from "../names/names";
import { shortWays } from "../advice/seasons/seasons";
import { ringsInWords } from "./timers";
import { plantsInWords } from "../names/plants";

/** What is asked for, and where. @example roomDueInWords({ what: "count", … }, "Stairwell") // "Stairwell: count the flies on the cards" */
export function roomDueInWords(asked: RoomAsked, placeName: string): string {
  const where = placeName ? `${placeName}: ` : "";
  switch (asked.what) {
    case "way":
      return `${where}${shortWays[asked.way]}${asked.again ? ", again" : ""}`;
    case "count":
      return `${where}count the flies on the cards`;
    case "slice":
      return `${where}lay slices of potato on the wettest pots, and count the larvae after three or four days`;
    case "winterBatch":
      return `${where}prepare ${plantsInWords(asked.plants)} for winter${asked.behind > 0 ? `; ${asked.behind} behind` : ""}`;
    case "winterMove":
      return `${where}bring ${plantsInWords(asked.plants)} in`;
    case "winterSpray":
      return `In for winter: spray ${plantsInWords(asked.plants)} again`;
    case "round":
      return asked.plants > 0
        ? `${where}${where ? "p" : "P"}reventive round, ${asked.plants === 1 ? "one plant" : `up to ${plantsInWords(asked.plants)}`}`
        : `${where}${where ? "n" : "N"}ext preventive round`;
    case "sachets":
      return `${where}${asked.again ? "renew the sachets" : "release predators"}`;
    default:
      return assertNever(asked);
  }
}

/** A treatment of a plan as a line of a calendar. */
function treatmentInWords(code: string, planned: PlannedDose, pest: PestId | null, late: number): string {
  const behind = late > 0 ? `, ${dayCount(late)} late` : "";
  return `${code}: ${lowerFirst(plannedInWords(planned))}, against ${pestName(pest)}${behind}`;
}

const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

/** @example looksInWords(3, ["L01", "L02", "L03"]) // "Look at 3 plants: L01, L02, L03" */
function looksInWords(count: number, codes: readonly string[]): string {
  const more = count - codes.length;
  return `Look at ${plantsInWords(count)}: ${codes.join(", ")}${more > 0 ? ` and ${more} more` : ""}`;
}

/** Before anything is put on a plant the application says what to take care of: a calendar is no place for that. */
const CARE = "Cautions and amounts are in the application.";

/** An entry in words, and the page that it is about. */
export function entryInWords(entry: CalendarMatter): {
  readonly summary: string;
  readonly description: string;
  readonly path: string;
} {
  switch (entry.kind) {
    case "treat":
      return {
        summary: treatmentInWords(entry.code, entry.planned, entry.pest, entry.late),
        description: CARE,
        path: `/plants/${entry.plantId}`,
      };
    case "looks":
      return { summary: looksInWords(entry.plants, entry.codes), description: "", path: "/walk" };
    case "room":
      return {
        summary: roomDueInWords(entry.due.what, entry.due.placeName),
        description: CARE,
        path: roomPath(entry.due),
      };
    case "timer":
      return { summary: ringsInWords(entry.what, [entry.code]), description: "", path: "/today" };
    default:
      return assertNever(entry);
  }
}

/** What was done on a day. @example doneInWords({ treated: 3, looked: 0 }) // "Done: 3 treated" */
export function doneInWords({ treated, looked }: { readonly treated: number; readonly looked: number }): string {
  const parts = [treated > 0 ? `${treated} treated` : "", looked > 0 ? `${looked} looked at` : ""];
  return `Done: ${parts.filter((one) => one !== "").join(", ")}`;
}

/** The page of a programme. */
export function roomPath({ programme, placeId }: Pick<RoomDue, "programme" | "placeId">): string {
  return programme === "gnats"
    ? `/benches/places/${placeId}/gnats`
    : programme === "wintering"
      ? "/wintering"
      : "/prevention";
}
