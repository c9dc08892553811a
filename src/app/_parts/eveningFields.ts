import { number } from "@/ui/fields/FieldList";

/** What an evening of a programme carries. */
export const eveningFields = [
  number("chosen.minutes", "Minutes per evening"),
  number("chosen.helpers", "People"),
  number("chosen.dryingPots", "Pots that can dry at the same time"),
] as const;
