import type { WorkId } from "@/core/acts/workIds";
import type { CourseId } from "@/core/planning/doses";
import type { RemedyId } from "@/core/remedies/remedies";
import { workNames } from "./acts";
import { z } from "zod";
import type { Day } from "@/core/climate/days";
import type { FieldCode } from "@/core/fields";
import type { LabelObjection } from "@/core/planning/label";
import type { Objection } from "@/core/suitability/suitability";
import { objectionSentences } from "./cautions";
import { dayAndYear, dayCount, dayInWords } from "./dates";
import { remedyNames, techniqueNames } from "./names";

/** Codes of what an operation refuses; the same codes as its outcome carries. */
const problemSentences = {
  in_future: "This lies in the future. Write down only what has happened.",
  before_case: "This is before the case began. Check the day.",
  before_last_find: "Something was found after this. Close the case on that day or later.",
  before_it_came: "The plant had not come by then. Check the day, or the day on its label.",
  so_long_ago: "That is more than two years ago. Check the year.",
  too_far_ahead: "That is more than two years ahead. Check the year.",
  unknown: "This is no longer there. Go back and choose again.",
  code_taken: "Another plant bears this code. Choose a free one.",
  code_twice: "This code stands here twice. Choose another for one of them.",
  not_apart_place: "Choose an isolation place, or a bag.",
  same_place: "The plant stands there already. Choose another place.",
  case_closed: "This case is closed. A new find opens a new one.",
  already_voided: "This has been struck out already.",
  step_taken: "This step has been carried out already. Choose another, or none.",
  advised_against: "Not on this plant.",
  against_label: "This goes against what the remedy bears.",
  archived: "This plant is archived. Bring it back first.",
  twice_same_pest: "The same pest is named twice. Put the animals together in one line.",
  spot_not_there: "This growth form does not have that spot.",
  parent_not_room: "It cannot stand in that place. A room stands in none, a tray on a shelf or in a room.",
  stands_alone: "Choose where it stands: a tray or a cabinet stands in something.",
  not_unnamed: "Nothing on this plant is without a name any more. Open its case.",
  not_on_place: "This can be done to a plant only. Open the plant and write it down there.",
  no_temperature: "Say about how warm it is there, or choose a room for it to stand in.",
  no_such_zone: "There is no such time zone. Europe/Lisbon is one.",
  id_taken: "This has been written down already, under another entry.",
  look_without_it: "The look is on record without this find. Write the find down as a look of its own.",
  address_not_near:
    "Only devices in this house are asked: an address like http://192.168.1.20/air, or of this machine.",
  programme_not_running: "It does not run any more: somebody has ended it, or it was never begun.",
  not_gnats_place: "Gnats are a matter of a room or a place with pots: no plant in a pot stands there.",
  cupboard_full: "300 bottles stand in it. Take out of the record what was entered by mistake.",
  too_many_rows: "These are more than 20,000 rows. Bring them in in parts.",
  no_rows: "There is no row in this. The first line of a table names its columns.",
  no_plants: "No plant is in it. Choose another round.",
  photo_too_large: "This photo is larger than 10 MB. Choose a smaller one.",
  no_photo: "This is not a photo that can be read. Choose a JPEG, PNG or WebP file.",
  too_many_photos: "This look has 12 photos already. Strike one out first.",
  still_in_use: "This cannot be struck out: it is the last of its kind, and something must stand there.",
  not_allowed: "Your role in this collection does not let you do this. Ask whoever owns it.",
  not_yours: "Somebody else wrote this down. Ask one of the keepers to strike it out.",
  passphrase_short:
    "A passphrase has 12 characters or more. Three or four words that do not belong together are easy to keep.",
  passphrase_common:
    "This one is among the first that others would try. Take three or four words that do not belong together.",
  no_owner_yet: "Make an owner first, under Settings: from the first person on everybody is asked who they are.",
  owner_exists: "An owner has been made already. Come in by name and passphrase.",
  too_many_tries: "That was tried too often. Wait a quarter of an hour, then try again.",
  not_let_in: "Name and passphrase do not belong together.",
  code_wrong: "Name and code do not belong together, or the code has been used.",
  pairing_over: "This link no longer holds: it works once, within five minutes. Ask for another.",
  name_in_use: "Somebody else is called this here. Choose another name.",
  last_owner: "A collection keeps at least one owner. Make somebody else its owner first.",
  wrong_passphrase: "This is not the passphrase you have now.",
} as const;

interface Told {
  readonly code: keyof typeof problemSentences;
  readonly objections?: readonly Objection[];
  readonly label?: readonly LabelObjection[];
  readonly day?: Day;
}

/** What an operation refused, in words: what is wrong, why, and what would be right. */
export function problemInWords({ code, objections = [], label = [], day }: Told): string {
  if (code === "so_long_ago" && day)
    return `Really ${day.slice(0, 4)}? That is more than two years ago. Check the year.`;
  if (code === "before_it_came" && day)
    return `The plant came on ${dayAndYear(day)}. Check the day here, or the day on its label.`;
  const reasons = objections.filter((o) => o.level === "refuse").map((o) => objectionSentences[o.code]);
  return [problemSentences[code], ...reasons, ...label.map(labelSentence)].join(" ");
}

const courseName = (course: CourseId) =>
  course in remedyNames ? remedyNames[course as RemedyId] : workNames[course as WorkId];

/** What a remedy's label, or common practice where it has none, has against dates. */
export function labelSentence(objection: LabelObjection): string {
  const name = courseName(objection.remedy);
  switch (objection.code) {
    case "technique_not_taken":
      return `${name} is not put on like that (${techniqueNames[objection.technique].toLowerCase()}).`;
    case "too_close":
      return `${name} wants ${dayCount(objection.days)} between two times: ${dayInWords(objection.before)} and ${dayInWords(objection.after)} are closer.`;
    case "too_many_running":
      return `${name}, or one of its kind, is put on ${objection.most} times running at most: pests become resistant. Put something of another kind between.`;
    case "not_together":
      return `${name} and ${courseName(objection.other).toLowerCase()} do not go together within ${dayCount(objection.days)}: ${[objection.remedy, objection.other].includes("sulphur") ? "oil and sulphur burn the leaves" : "sprays kill helpful animals"}.`;
    case "too_often":
      return `${name} is put on ${objection.most} times in a course at most; this would be ${objection.times}.`;
  }
}

const fieldSentences: Record<FieldCode, string> = {
  required: "Fill this in.",
  not_a_number: "Write a number, such as 250 or 0.5.",
  not_a_day: "Write a day of the calendar.",
  not_a_time: "Write a day and a time.",
  day_out_of_range: "Nobody was keeping a record then. Check the year.",
  control_characters: "This holds characters that cannot be shown. Type it again.",
  not_ascending: "Dates go forward, each only once.",
  no_such_zone: "There is no such time zone. Europe/Lisbon is one.",
};

const CHOOSE = "Choose one of the list.";

/** What is wrong with a field and what would be right, for every check Zod makes. */
function zodSentence(issue: z.core.$ZodRawIssue): string | undefined {
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
    case "invalid_key":
      return CHOOSE;
    default:
      return undefined;
  }
}

// Every schema in the application speaks through this one table, in the browser and on the server.
z.config({ customError: zodSentence });
