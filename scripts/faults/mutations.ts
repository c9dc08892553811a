import fc from "fast-check";
import type { z } from "zod";

/** What no form sends, and what some programs choke on. */
export const odd = fc.oneof(
  fc.constantFrom(null, "", [], {}, "\u0000", "\u202egnp.exe", "\uD800", "NaN", -1, 1e308, true, "9999-12-31T23:59Z"),
  fc.constantFrom("__proto__", "constructor", "toString", "0001-01-01", "9998-12-31"),
  fc.string({ unit: "binary", maxLength: 200 }),
  fc.integer(),
  fc.double(),
  fc.uuid(),
  fc.date({ noInvalidDate: true }).map((date) => date.toISOString()),
  fc.jsonValue({ maxDepth: 2 }),
);

type Path = readonly (string | number)[];

/** Every path into plain data. */
export function pathsOf(value: unknown, path: Path = []): Path[] {
  if (typeof value !== "object" || value === null) return [path];
  const below = Object.entries(value).flatMap(([key, one]) =>
    pathsOf(one, [...path, Array.isArray(value) ? Number(key) : key]),
  );
  return [path, ...below];
}

/** Plain data with another value at a path; without it where that is undefined. */
export function changed(value: unknown, [key, ...rest]: Path, to: unknown): unknown {
  if (key === undefined) return to;
  const copy = structuredClone(value) as Record<string | number, unknown>;
  if (rest.length === 0 && to === undefined) delete copy[key];
  else copy[key] = changed(copy[key], rest, to);
  return copy;
}

type Schema = z.core.JSONSchema.JSONSchema;
const schemaOf = (one: unknown): Schema => (typeof one === "object" && !Array.isArray(one) ? (one as Schema) : {});

/** Ids that are there, by the name under which a shape asks for them. */
type Ids = Readonly<Record<string, readonly string[]>>;

/** Values of the shape that a JSON schema tells, as far as types go; ids are some of `ids`, its own is new. `key` is under which name it stands. */
export function shapedAs(schema: Schema, ids: Ids, key = ""): fc.Arbitrary<unknown> {
  const { anyOf, oneOf, type, format } = schema;
  const either = anyOf ?? oneOf;
  if (either) return fc.oneof(...either.map((one) => shapedAs(one, ids, key)));
  if ("const" in schema) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  // What forms send as text is read into ids, moments and days: their names say which.
  if (format === "uuid" || (type === "string" && /^id$|Id$/.test(key)))
    return key === "id" ? fc.uuid({ version: 7 }) : fc.constantFrom(...(ids[key] ?? Object.values(ids).flat()));
  if (format === "date" || (type === "string" && /On$/.test(key)))
    return fc.integer({ min: -400, max: 400 }).map((days) => daysOn(days).slice(0, 10));
  if (format === "date-time" || (type === "string" && key === "at"))
    return fc.integer({ min: -400, max: 1 }).map(daysOn);
  switch (type) {
    case "string":
      return fc.string({ minLength: schema.minLength ?? 0, maxLength: 20 });
    case "integer":
      return fc.integer({ min: Math.max(schema.minimum ?? 0, -1000), max: Math.min(schema.maximum ?? 100, 1000) });
    case "number":
      return fc.double({
        min: Math.max(schema.minimum ?? 0, -1000),
        max: Math.min(schema.maximum ?? 100, 1000),
        noNaN: true,
      });
    case "boolean":
      return fc.boolean();
    case "null":
      return fc.constant(null);
    case "array":
      return fc.array(shapedAs(schemaOf(schema.items), ids, key), { minLength: schema.minItems ?? 0, maxLength: 3 });
    case "object":
      return fc.record(
        Object.fromEntries(
          Object.entries(schema.properties ?? {}).map(([key, one]) => [key, shapedAs(schemaOf(one), ids, key)]),
        ),
      );
    default:
      return fc.oneof(
        fc.constantFrom(...Object.values(ids).flat()),
        fc.integer({ min: -400, max: 1 }).map(daysOn),
        fc.string(),
      );
  }
}

const DAY_MS = 86_400_000;
const daysOn = (days: number) => new Date(Date.now() + days * DAY_MS).toISOString();
