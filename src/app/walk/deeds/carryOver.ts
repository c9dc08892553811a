import { SHAPE } from "@/core/record/facts/keptShape";
import { instantOf, withOffset } from "@/zones";

/** What is brought from one shape to the next, by the shape it was kept in. Read strictly afterwards: this only passes on. */
const steps: Readonly<Record<number, (command: unknown, timeZone: string) => unknown>> = { 1: withOffsets, 2: asItIs };

/** What is new in the third shape nobody kept before. */
function asItIs(command: unknown): unknown {
  return command;
}

const wallTime = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/;

function withOffsets(command: unknown, timeZone: string): unknown {
  if (!isObject(command) || !isObject(command["input"])) return command;
  const { at } = command["input"];
  if (typeof at !== "string" || !wallTime.test(at)) return command;
  return { ...command, input: { ...command["input"], at: withOffset(instantOf(at, timeZone), timeZone) } };
}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === "object" && value !== null;

/**
 * A command as it is kept now, from the shape in which an older page, or an older application, kept it: whoever came back after a
 * year still has what was pressed. One of a shape that is not known here yet stays as it is.
 * @example carriedOver({ kind: "look", input: { at: "2026-11-24T18:00", … } }, 1, "Europe/Lisbon") // … at: "2026-11-24T18:00:00+00:00"
 */
export function carriedOver(command: unknown, shape: number, timeZone: string): unknown {
  let carried = command;
  for (let at = shape; at < SHAPE; at++) carried = steps[at]!(carried, timeZone);
  return carried;
}

/** The shape that a request names; the first where it names none. */
export function shapeIn(header: string | null): number {
  const shape = Number(header ?? 1);
  return Number.isInteger(shape) && shape >= 1 ? shape : 1;
}
