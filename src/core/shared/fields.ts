import { z } from "zod";
import { isDay, type Day } from "./days";

/** Codes of what can be wrong beyond Zod's own checks; `wording` has the sentences. */
export type FieldCode =
  | "not_a_number"
  | "not_a_day"
  | "not_a_time"
  | "day_out_of_range"
  | "control_characters"
  | "required"
  | "not_ascending"
  | "no_such_zone";

export const custom = (code: FieldCode) => ({ params: { code } });

/** An id made where the fact was recorded (UUID), in small letters as the database writes it. */
export const id = z.string().toLowerCase().pipe(z.uuid());

/** What an address names, as an id; null where it can be none. @example idIn("L01") // null */
export function idIn(value: string): string | null {
  return id.safeParse(value).data ?? null;
}

/**
 * Characters that cannot be stored or that show something else than what is there: controls but for line feeds and tabs,
 * marks that turn the direction of writing, line separators, halves of characters.
 */
const unshowable = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u200e\u200f\u2028-\u202e\u2066-\u2069\ufeff]/;
const showable = (value: string) => !unshowable.test(value) && value.isWellFormed();

/** Letters, digits, signs; what fills a place without showing anything does not count. */
const visible = /(?![\u115f\u1160\u2800\u3164\uffa0])[\p{L}\p{N}\p{P}\p{S}]/u;

/** Free text, trimmed, of at most `max` characters; may be empty. */
export const text = (max: number) => z.string().trim().max(max).refine(showable, custom("control_characters"));

/** Text in which something must be seen. */
export const requiredText = (max: number) => text(max).refine((value) => visible.test(value), custom("required"));

/** A number typed by hand, with a point or a comma, between `min` and `max` inclusive. */
export const decimal = (min: number, max: number) =>
  z
    .union([z.number(), z.string()])
    .transform((value, context) => {
      const typed = typeof value === "string" ? value.trim().replace(",", ".") : value;
      const number = typed === "" ? NaN : Number(typed);
      if (Number.isFinite(number)) return number;
      context.addIssue({ code: "custom", ...custom(typed === "" ? "required" : "not_a_number") });
      return z.NEVER;
    })
    .pipe(z.number().min(min).max(max));

/** A whole number typed by hand. */
export const whole = (min: number, max: number) => decimal(min, max).pipe(z.number().int());

/** The days that are taken at all: an heirloom may be old, and no plan reaches so far. */
const FIRST_DAY = "1850-01-01";
const LAST_DAY = "2199-12-31";

/** A calendar day, `YYYY-MM-DD`. */
export const dayField = z
  .string()
  .refine(isDay, { ...custom("not_a_day"), abort: true })
  .refine((value) => value >= FIRST_DAY && value <= LAST_DAY, custom("day_out_of_range"))
  .transform((value) => value as Day);

/** The field, or null for one left empty. What is wrong with a filled one is told by the field's own check, which stands first. */
export const orNothing = <T extends z.ZodType>(field: T) =>
  z.union([field, z.null(), z.literal("").transform(() => null)]);

/** Before this nobody kept records here, and clocks of devices that have lost the time begin here. */
const FIRST_MOMENT = Date.parse("1970-01-02T00:00:00Z");
const LAST_MOMENT = Date.parse("2199-12-31T00:00:00Z");

/** An instant with the offset of where it was told: `2026-11-24T23:30:00-08:00`. */
export const moment = z
  .string()
  .refine((value) => z.iso.datetime({ offset: true }).safeParse(value).success, {
    ...custom("not_a_time"),
    abort: true,
  })
  .transform((value) => new Date(value))
  .refine((at) => at.getTime() >= FIRST_MOMENT && at.getTime() <= LAST_MOMENT, custom("day_out_of_range"));
