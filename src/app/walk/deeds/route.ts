import type { z } from "zod";
import { answered, readUpTo, tooLarge } from "@/app/_parts/answer";
import { deed } from "@/app/_parts/deed";
import { now } from "@/clock";
import { assertNever } from "@/core/assertNever";
import { byDeviceClock } from "@/core/facts/deviceClock";
import { sentLater } from "@/core/facts/sentLater";
import { databaseUrl } from "@/env";
import { askFor } from "@/jobs/ask";
import type { Context } from "@/operations/context";
import { endWalk } from "@/operations/endWalk";
import type { Outcome } from "@/operations/outcome";
import { recordCleaning } from "@/operations/recordCleaning";
import { recordLook } from "@/operations/recordLook";
import { setApart } from "@/operations/setApart";
import { skipPlant } from "@/operations/skipPlant";
import { voidFact } from "@/operations/voidFact";

/** More than any look can be; a body without end is not read to its end. */
const LIMIT_BYTES = 100_000;

/** Takes one deed that a walk kept in the browser. What was sent before is answered as done. */
export async function POST(request: Request): Promise<Response> {
  const body = await readUpTo(request.body, LIMIT_BYTES);
  if (!body) return tooLarge();
  let input: unknown = null;
  try {
    input = JSON.parse(body.toString("utf8"));
  } catch {
    // What is no JSON is no deed: its schema says so.
  }
  const clock = request.headers.get("x-clock");
  const result = await deed(
    request.headers.get("x-collection"),
    ({ kind }) => names[kind],
    sentLater,
    carryOut(clock),
    input,
  );
  if (result.ok) await askFor(databaseUrl(), "judge", "carry");
  return answered(result);
}

const names = {
  look: "recordLook",
  skip: "skipPlant",
  apart: "setApart",
  cleaned: "recordCleaning",
  void: "voidFact",
  end: "endWalk",
} as const;

type Deed = z.output<typeof sentLater>;

const carryOut =
  (clock: string | null) =>
  (context: Context, { kind, input }: Deed): Promise<Outcome<object>> => {
    const at = (moment: Date) => byDeviceClock(moment, clock, now());
    switch (kind) {
      case "look":
        return recordLook(context, { ...input, at: at(input.at) });
      case "skip":
        return skipPlant(context, { ...input, at: at(input.at) });
      case "apart":
        return setApart(context, { ...input, at: at(input.at) });
      case "cleaned":
        return recordCleaning(context, { ...input, at: at(input.at) });
      case "void":
        return voidFact(context, input);
      case "end":
        return endWalk(context, input);
      default:
        return assertNever(kind);
    }
  };
