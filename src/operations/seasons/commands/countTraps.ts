import { beginOf, roomOf } from "@/core/advice/seasons/gnats/fromRecord";
import { expectedOnCards } from "@/core/advice/seasons/gnats/judge";
import { daysBetween } from "@/core/shared/days";
import { nothingTold, type CountTraps } from "@/core/record/facts/kinds/trapCount";
import type { Scope } from "@/db/connection";
import * as facts from "@/db/stores/record/facts";
import { today, type Context } from "../../shared/context";
import { transact, type Outcome } from "../../shared/outcome";
import { isJustNow, knownPlace, lockPlant, pastMoment } from "../../shared/checks";
import { roomOnRecord } from "../roomOnRecord";

/** Writes down how many gnats were counted at a place, or how many larvae under a slice on a plant's mix. */
export function countTraps(context: Context, command: CountTraps): Promise<Outcome<{ id: string }>> {
  return transact(context, "tend", command.id, async (scope) => {
    if (await scope.wasSent("trapCount", command.id)) return { id: command.id };
    await knownPlace(scope, command.placeId);
    if (command.plantId !== null) await lockPlant(scope, command.plantId);
    const count = { ...command, at: pastMoment(context, command.at) };
    await facts.add(scope, "trapCount", [{ ...count, ...(await toldBefore(context, scope, count)) }]);
    return { id: command.id };
  });
}

/** What was told of such a count before it. Nothing of a slice, of one that is written down late, or of one more of the same day. */
async function toldBefore(context: Context, scope: Scope, { what, placeId, days, at }: CountTraps) {
  if (what !== "cards" || !isJustNow(context, at)) return nothingTold;
  const day = today(context);
  const room = await roomOnRecord(scope, placeId, day);
  if (!room || room.record.pots.every(({ weight }) => weight === 0)) return nothingTold;
  const onCards = room.record.counts.filter((one) => one.what === "cards");
  if (onCards.some((one) => one.day >= day)) return nothingTold;
  const begin = beginOf(room.record, day);
  const expected = expectedOnCards(roomOf(room.record, [], begin, day), daysBetween(begin, day), days);
  return expected ? { toldLow: expected.low, toldHigh: expected.high, toldWithin: expected.pWithin } : nothingTold;
}
