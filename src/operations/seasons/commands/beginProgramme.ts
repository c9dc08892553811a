import type { BeginProgramme, ChosenProgramme } from "@/core/record/facts/kinds/roomProgramme";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import type { Scope } from "@/db/connection";
import { today, type Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { checkHorizon, knownPlace } from "../../shared/checks";

/** Begins a programme of a room or of the collection; where it runs already, it goes on as is chosen now. */
export function beginProgramme(
  context: Context,
  { id, placeId, chosen }: BeginProgramme,
): Promise<Outcome<{ id: string }>> {
  return transact(context, "record", id, async (scope) => {
    if (await scope.wasSent("roomProgramme", id)) return { id };
    const { programme } = chosen;
    await checkChosen(context, scope, chosen, placeId);
    await facts.add(scope, "roomProgramme", [{ id, programme, placeId, chosen, at: context.now }]);
    return { id };
  });
}

async function checkChosen(
  context: Context,
  scope: Scope,
  chosen: ChosenProgramme,
  placeId: string | null,
): Promise<void> {
  if (chosen.programme === "prevention" && chosen.pausedUntil)
    checkHorizon(context, "chosen.pausedUntil", chosen.pausedUntil);
  if (placeId === null) {
    // Rounds may be of the whole collection; the rest is of a place.
    if (chosen.programme !== "prevention") refuse("placeId", "unknown");
    return;
  }
  await knownPlace(scope, placeId);
  if (chosen.programme !== "wintering") return;
  if (!(await places.find(scope, chosen.toPlaceId))) refuse("chosen.toPlaceId", "unknown");
  if (chosen.toPlaceId === placeId) refuse("chosen.toPlaceId", "same_place");
  checkHorizon(context, "chosen.moveOn", chosen.moveOn);
  if (chosen.moveOn < today(context)) refuse("chosen.moveOn", "so_long_ago", { day: chosen.moveOn });
}
