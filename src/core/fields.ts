import { z } from "zod";
import { isDay, type Day } from "./climate/days";

/** Codes of what can be wrong beyond Zod's own checks; `wording` has the sentences. */
export type FieldCode =
  "not_a_number" | "not_a_day" | "not_a_time" | "control_characters" | "required" | "not_ascending" | "no_such_zone";

const custom = (code: FieldCode) => ({ params: { code } });

/** An id made where the fact was recorded (UUID). */
export const id = z.uuid();

/** Whether `value`, from an address say, can be an id at all. @example isId("L01") // false */
export const isId = (value: string) => id.safeParse(value).success;

// Line feeds and tabs may be typed; other control characters cannot be stored or shown.
const controls = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/;

/** Free text, trimmed, of at most `max` characters; may be empty. */
export const text = (max: number) =>
  z
    .string()
    .trim()
    .max(max)
    .refine((value) => !controls.test(value), custom("control_characters"));

/** Text that must not be empty. */
export const requiredText = (max: number) => text(max).refine((value) => value.length > 0, custom("required"));

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

/** A calendar day, `YYYY-MM-DD`. */
export const dayField = z
  .string()
  .refine(isDay, custom("not_a_day"))
  .transform((value) => value as Day);

/** The field, or null for one left empty. What is wrong with a filled one is told by the field's own check, which stands first. */
export const orNothing = <T extends z.ZodType>(field: T) =>
  z.union([field, z.null(), z.literal("").transform(() => null)]);

/** A time on the wall of the collection, `YYYY-MM-DDTHH:mm`. */
export const localTime = z
  .string()
  .refine(
    (value) => /^\d{4}-\d{2}-\d{2}T([01]\d|2[0-3]):[0-5]\d$/.test(value) && isDay(value.slice(0, 10)),
    custom("not_a_time"),
  );
