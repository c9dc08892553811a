import { z } from "zod";
import { endTimer, startTimer } from "../../acts/timers";
import { endWalk, voidFact } from "./commands";
import { recordAct } from "./kinds/act";
import { recordLook } from "./kinds/look";
import { recordCleaning } from "./kinds/cleaning";
import { setApart } from "./kinds/placement";
import { skipPlant } from "./kinds/skip";

/**
 * The number of the shape that commands are kept in now; it goes up whenever what is kept would be read differently. In the first, moments
 * were what the clock of the collection's zone showed; in the second they bear their offset; in the third there are acts and timers, and
 * the others are as they were.
 */
export const SHAPE = 3;

/** Commands that a page keeps and sends when it can, one after the other. */
export const sentLater = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal("look"), input: recordLook }),
  z.object({ kind: z.literal("skip"), input: skipPlant }),
  z.object({ kind: z.literal("apart"), input: setApart }),
  z.object({ kind: z.literal("cleaned"), input: recordCleaning }),
  z.object({ kind: z.literal("void"), input: voidFact }),
  z.object({ kind: z.literal("end"), input: endWalk }),
  z.object({ kind: z.literal("act"), input: recordAct }),
  z.object({ kind: z.literal("timer"), input: startTimer }),
  z.object({ kind: z.literal("timerEnd"), input: endTimer }),
]);
export type SentLater = z.input<typeof sentLater>;
