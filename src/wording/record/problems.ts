import type { WorkId } from "@/core/acts/workIds";
import type { CourseId } from "@/core/advice/planning/doses";
import type { RemedyId } from "@/core/knowledge/remedies/remedies";
import { workNames } from "../names/acts";
import { z } from "zod";
import type { Day } from "@/core/shared/days";
import type { FieldCode } from "@/core/shared/fields";
import type { LabelObjection } from "@/core/advice/labels/label";
import type { Objection } from "@/core/advice/tolerance/suitability";
import { objectionSentences } from "../advice/cautions";
import { dayAndYear, dayCount, dayInWords } from "../dates";
import { remedyNames, techniqueNames } from "../names/names";

/** Codes of what an operation refuses; the same codes as its outcome carries. */
const problemSentences = {
  in_future: "This is in the future. Record only what has happened.",
  before_case: "This is before the case began. Check the day.",
  before_last_find: "Something was found after this. Close the case on that day or later.",
  before_it_came: "You did not have the plant yet. Check this date, or the date it was acquired.",
  so_long_ago: "That is more than two years ago. Check the year.",
  too_far_ahead: "That is more than two years ahead. Check the year.",
  unknown: "This no longer exists. Go back and choose again.",
  code_taken: "Another plant has this code. Choose a different one.",
  code_twice: "This code appears twice. Change one of them.",
  not_apart_place: "Choose an isolation place, or a bag.",
  same_place: "The plant is already there. Choose another place.",
  case_closed: "This case is closed. A new find opens a new one.",
  already_voided: "This is already struck out.",
  step_taken: "This step is already done. Choose another, or none.",
  advised_against: "Not on this plant.",
  against_label: "This breaks a rule of the remedy.",
  archived: "This plant is archived. Bring it back first.",
  twice_same_pest: "The same pest is listed twice. Put the animals together in one entry.",
  spot_not_there: "This growth form has no such place.",
  parent_not_room: "It cannot stand there. A room stands on its own, a tray on a shelf or in a room.",
  stands_alone: "Choose where it stands: a tray or a cabinet stands in another place.",
  not_unnamed: "Everything on this plant has a name now. Open its case.",
  not_on_place: "This can only be done to a single plant. Open the plant and record it there.",
  no_temperature: "Say about how warm it is there, or choose a room for it to stand in.",
  no_such_zone: "There is no such time zone. Europe/Lisbon is one.",
  id_taken: "This is already recorded under another entry.",
  look_without_it: "The look is on record without this find. Record the find as a separate look.",
  address_not_near: "Only sensors on your own network work: an address like http://192.168.1.20/air, or this computer.",
  programme_not_running: "It is no longer running: someone stopped it, or it was never started.",
  not_gnats_place: "Gnats concern a place with pots, and there is no potted plant there.",
  cupboard_full: "The cupboard holds 300 bottles at most. Delete what was entered by mistake.",
  too_many_keepers: "More than 1,000 keepers in all. Forget those you imported first.",
  only_own_experience: "This file tells of this collection alone: its own record counts already.",
  too_many_rows: "More than 20,000 rows. Import them in parts.",
  no_rows: "There are no rows in this. The first line of a table names its columns.",
  no_plants: "There are no plants in it. Choose another round.",
  photo_too_large: "This photo is larger than 10 MB. Choose a smaller one.",
  no_photo: "This photo cannot be read. Choose a JPEG, PNG or WebP file.",
  too_many_photos: "This look already has 12 photos. Strike one out first.",
  still_in_use: "This cannot be struck out: it is the only one, and one is needed.",
  not_allowed: "Your role in this collection does not allow this. Ask the owner.",
  not_yours: "Someone else recorded this. Ask one of the keepers to strike it out.",
  passphrase_short: "A passphrase needs 12 characters or more. Three or four unrelated words are easy to remember.",
  passphrase_common: "This one is too easy to guess. Use three or four unrelated words.",
  no_owner_yet: "Set up an owner first, under Settings: from then on everyone has to sign in.",
  owner_exists: "There is already an owner. Sign in with your name and passphrase.",
  too_many_tries: "Too many tries. Wait a quarter of an hour, then try again.",
  not_let_in: "Name and passphrase do not match.",
  code_wrong: "Name and code do not match, or the code has already been used.",
  pairing_over: "This link has expired: it works once, within five minutes. Ask for a new one.",
  name_in_use: "This name is taken here. Choose another one.",
  last_owner: "A collection needs at least one owner. Make someone else owner first.",
  wrong_passphrase: "This is not your current passphrase.",
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
    return `You have had the plant since ${dayAndYear(day)}. Check this date, or the date it was acquired.`;
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
      return `${name} cannot be applied like that (${techniqueNames[objection.technique].toLowerCase()}).`;
    case "too_close":
      return `${name} needs ${dayCount(objection.days)} between treatments: ${dayInWords(objection.before)} and ${dayInWords(objection.after)} are closer.`;
    case "too_many_running":
      return `${name}, or another of its group, can be used ${objection.most} times in a row at most: pests become resistant. Put something from another group in between.`;
    case "not_together":
      return `${name} and ${courseName(objection.other).toLowerCase()} do not go together within ${dayCount(objection.days)}: ${[objection.remedy, objection.other].includes("sulphur") ? "oil and sulphur burn the leaves" : "sprays kill beneficials"}.`;
    case "too_often":
      return `${name} can be used ${objection.most} times in a course at most; this would be ${objection.times}.`;
  }
}

const fieldSentences: Record<FieldCode, string> = {
  required: "Fill this in.",
  not_a_number: "Enter a number, such as 250 or 0.5.",
  not_a_day: "Enter a date.",
  not_a_time: "Enter a date and time.",
  day_out_of_range: "That year cannot be right. Check it.",
  control_characters: "This contains characters that cannot be shown. Type it again.",
  not_ascending: "Put dates in order, each only once.",
  no_such_zone: "There is no such time zone. Europe/Lisbon is one.",
};

const CHOOSE = "Choose one from the list.";

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
      return issue.expected === "int" ? "Enter a whole number." : fieldSentences.required;
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
