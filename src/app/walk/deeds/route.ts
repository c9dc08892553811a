import type { z } from "zod";
import { answered, readUpTo, tooLarge } from "@/app/_parts/server/answer";
import { contextFor } from "@/app/_parts/server/context";
import { another, isAnothers } from "@/app/_parts/server/whose";
import { runCommand } from "@/app/_parts/server/runCommand";
import { SHAPE_HEADER } from "@/offline/live";
import { now } from "@/clock";
import { assertNever } from "@/core/shared/assertNever";
import { byDeviceClock } from "@/core/record/facts/deviceClock";
import { SHAPE } from "@/core/record/facts/keptShape";
import { sentLater } from "@/core/record/facts/sentLater";
import { databaseUrl } from "@/env";
import { askFor } from "@/jobs/ask";
import type { Context } from "@/operations/shared/context";
import { endTimer } from "@/operations/acts/commands/endTimer";
import { endWalk } from "@/operations/walks/commands/endWalk";
import type { Outcome } from "@/operations/shared/outcome";
import { recordAct } from "@/operations/acts/commands/recordAct";
import { recordCleaning } from "@/operations/places/commands/recordCleaning";
import { recordLook } from "@/operations/looks/commands/recordLook";
import { setApart } from "@/operations/plants/commands/setApart";
import { skipPlant } from "@/operations/looks/commands/skipPlant";
import { startTimer } from "@/operations/acts/commands/startTimer";
import { voidFact } from "@/operations/record/commands/voidFact";
import { carriedOver, shapeIn } from "./carryOver";

/** More than any look can be; a body without end is not read to its end. */
const LIMIT_BYTES = 100_000;

/** Takes one command that a walk kept in the browser. What was sent before is answered as done. */
export async function POST(request: Request): Promise<Response> {
  const body = await readUpTo(request.body, LIMIT_BYTES);
  if (!body) return tooLarge();
  let input: unknown = null;
  try {
    input = JSON.parse(body.toString("utf8"));
  } catch {
    // What is no JSON is no command: its schema says so.
  }
  if (await isAnothers(request.headers)) return answered(another);
  const collectionId = request.headers.get("x-collection");
  const shape = shapeIn(request.headers.get(SHAPE_HEADER));
  if (shape > SHAPE) return answered(tooNew);
  // Only what is of an older shape asks which clock it was told by; while nobody knows, it waits.
  const zone = shape === SHAPE ? "" : await zoneOf(collectionId).catch(() => null);
  if (zone === null) return answered(notNow);
  const carried = carriedOver(input, shape, zone);
  const clock = request.headers.get("x-clock");
  const result = await runCommand(collectionId, ({ kind }) => names[kind], sentLater, carryOut(clock), carried);
  if (result.ok) await askFor(databaseUrl(), collectionId, "judge", "carry", "carryRest");
  return answered(result);
}

/** A page of a newer application than this one: what it kept waits until this one is as new. */
const tooNew = {
  ok: false,
  retry: true,
  problems: [{ path: "", message: "It was recorded by a newer version. It is sent once the server is updated too." }],
} as const;

const notNow = {
  ok: false,
  retry: true,
  problems: [{ path: "", message: "The database is not answering. It is sent again automatically." }],
} as const;

/** The zone in which a collection's clock stands; without a collection the command is refused anyhow. */
async function zoneOf(collectionId: string | null): Promise<string> {
  const context = collectionId ? await contextFor({ collectionId, device: "" }) : null;
  return context?.collection.timeZone ?? "UTC";
}

const names = {
  look: "recordLook",
  skip: "skipPlant",
  apart: "setApart",
  cleaned: "recordCleaning",
  void: "voidFact",
  end: "endWalk",
  act: "recordAct",
  timer: "startTimer",
  timerEnd: "endTimer",
} as const;

type Command = z.output<typeof sentLater>;

const carryOut =
  (clock: string | null) =>
  (context: Context, { kind, input }: Command): Promise<Outcome<object>> => {
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
      case "act":
        return recordAct(context, { ...input, at: at(input.at) });
      case "timer":
        return startTimer(context, { ...input, at: at(input.at) });
      case "timerEnd":
        return endTimer(context, { ...input, at: at(input.at) });
      default:
        return assertNever(kind);
    }
  };
