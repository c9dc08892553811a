import { z } from "zod";
import { endTimer, startTimer } from "../../acts/timerCommands";
import { endWalk, voidFact } from "./commands";
import { recordAct } from "./kinds/act";
import { recordLook } from "./kinds/look";
import { recordCleaning } from "./kinds/cleaning";
import { setApart } from "./kinds/placement";
import { skipPlant } from "./kinds/skip";

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
