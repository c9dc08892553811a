import { z } from "zod";
import type { FieldCode } from "@/core/fields";

/** Codes of what an operation refuses; the same codes as its outcome carries. */
export const problemSentences = {
  in_future: "This lies in the future. Write down only what has happened.",
  before_case: "This is before the case began. Check the day.",
  unknown: "This is no longer there. Go back and choose again.",
  code_taken: "Another plant bears this code. Choose a free one.",
  not_apart_place: "Choose an isolation place, or a bag.",
  same_place: "The plant stands there already. Choose another place.",
  case_closed: "This case is closed. A new find opens a new one.",
  already_voided: "This has been struck out already.",
  step_taken: "This step has been carried out already. Choose another, or none.",
  advised_against: "Not on this plant.",
  archived: "This plant is archived. Bring it back first.",
  twice_same_pest: "The same pest is named twice. Put the animals together in one line.",
  spot_not_there: "This growth form does not have that spot.",
  parent_not_room: "Choose a room for it to stand in, or none for a room.",
  no_plants: "No plant is in it. Choose another round.",
  photo_too_large: "This photo is larger than 10 MB. Choose a smaller one.",
  no_photo: "This is not a photo that can be read. Choose a JPEG, PNG or WebP file.",
  too_many_photos: "This look has 12 photos already. Strike one out first.",
  still_in_use: "This cannot be struck out: other records rest on it.",
} as const;

const fieldSentences: Record<FieldCode, string> = {
  required: "Fill this in.",
  not_a_number: "Write a number, such as 250 or 0.5.",
  not_a_day: "Write a day of the calendar.",
  not_a_time: "Write a day and a time.",
  control_characters: "This holds characters that cannot be shown. Type it again.",
  not_ascending: "Dates go forward, each only once.",
  no_such_zone: "There is no such time zone. Europe/Lisbon is one.",
};

const CHOOSE = "Choose one of the list.";

/** What is wrong with a field and what would be right, for every check Zod makes. */
export function zodSentence(issue: z.core.$ZodRawIssue): string | undefined {
  switch (issue.code) {
    case "custom": {
      const code = (issue.params as { code?: FieldCode } | undefined)?.code;
      return code && fieldSentences[code];
    }
    case "too_small":
      if (issue.origin === "array") return "Choose at least one.";
      return issue.origin === "string" ? fieldSentences.required : `It must be ${issue.minimum} or more.`;
    case "too_big":
      if (issue.origin === "array") return `Choose at most ${issue.maximum}.`;
      return issue.origin === "string"
        ? `Too long: ${issue.maximum} characters at most.`
        : `It must be ${issue.maximum} or less.`;
    case "invalid_type":
      return issue.expected === "int" ? "Write a whole number." : fieldSentences.required;
    // The first member of a union is what a filled field must be; the others stand for an empty one.
    case "invalid_union":
      return issue.errors?.[0]?.[0]?.message ?? CHOOSE;
    case "invalid_value":
    case "invalid_format":
      return CHOOSE;
    default:
      return undefined;
  }
}

// Every schema in the application speaks through this one table, in the browser and on the server.
z.config({ customError: zodSentence });
