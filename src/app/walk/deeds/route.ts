import { deed } from "@/app/_parts/deed";
import { isSameOrigin } from "@/app/_parts/sameOrigin";
import { assertNever } from "@/core/assertNever";
import { sentLater } from "@/core/facts/sentLater";
import type { z } from "zod";
import type { Context } from "@/operations/context";
import { endWalk } from "@/operations/endWalk";
import type { Outcome } from "@/operations/outcome";
import { recordLook } from "@/operations/recordLook";
import { setApart } from "@/operations/setApart";
import { skipPlant } from "@/operations/skipPlant";
import { voidFact } from "@/operations/voidFact";

/** More than any look can be; a body without end is not read to its end. */
const LIMIT_BYTES = 100_000;

/** Takes one deed that a walk kept in the browser. What was sent before is answered as done. */
export async function POST(request: Request): Promise<Response> {
  if (!isSameOrigin(request)) return new Response("Only for pages of this application.", { status: 403 });
  if (Number(request.headers.get("content-length") ?? Infinity) > LIMIT_BYTES)
    return new Response("Too large.", { status: 413 });
  const input: unknown = await request.json().catch(() => null);
  const result = await deed(sentLater, carryOut, input);
  // Trouble of our own is worth another try; a problem with the deed is not.
  return Response.json(result, { status: !result.ok && result.retry ? 503 : 200 });
}

function carryOut(context: Context, { kind, input }: z.output<typeof sentLater>): Promise<Outcome<object>> {
  switch (kind) {
    case "look":
      return recordLook(context, input);
    case "skip":
      return skipPlant(context, input);
    case "apart":
      return setApart(context, input);
    case "void":
      return voidFact(context, input);
    case "end":
      return endWalk(context, input);
    default:
      return assertNever(kind);
  }
}
