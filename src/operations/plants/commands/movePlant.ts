import { byCode } from "@/core/knowledge/plants/codes";
import { v5 as uuidv5 } from "uuid";
import { standsOf, stayAt, staysOf } from "@/core/record/cases/stays";
import type { MovePlant } from "@/core/record/facts/kinds/placement";
import { groupBy } from "@/core/shared/groupBy";
import { placeBehind, type Slotted } from "@/core/advice/spread/slots";
import type { Scope } from "@/db/connection";
import * as facts from "@/db/stores/record/facts";
import * as placements from "@/db/stores/plants/placements";
import * as plants from "@/db/stores/plants/plants";
import type { Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { knownPlace, lockPlant, momentOn } from "../../shared/checks";

/** Moves a plant to another place, or along the row of its own; bringing one back among the others is such a move. */
export function movePlant(context: Context, command: MovePlant): Promise<Outcome<{ id: string }>> {
  return transact(context, "record", command.id, async (scope) => {
    if (await scope.wasSent("placement", command.id)) return { id: command.id };
    const { id, plantId, placeId, after = null } = command;
    const plant = await lockPlant(scope, plantId);
    const at = momentOn(context, plant, command.at, false);
    await knownPlace(scope, placeId);
    const stays = staysOf(await facts.of(scope, "placement", "plantId", [plantId]), null);
    const remains = stayAt(stays, at)?.placeId === placeId;
    if (remains && after === null) refuse("placeId", "same_place");
    const slots = after === null ? [{ plantId, slot: null }] : await slotsFor(scope, placeId, plantId, after, at);
    await facts.add(
      scope,
      "placement",
      slots.map((one) => ({
        id: one.plantId === plantId ? id : besideId(id, one.plantId),
        ...one,
        placeId,
        at,
      })),
    );
    const others = slots.map((one) => one.plantId).filter((other) => other !== plantId);
    if (remains) scope.invalidate([plantId, ...others]);
    else {
      scope.invalidateBeside([plantId]);
      scope.invalidate(others);
    }
    return { id };
  });
}

/**
 * Whoever makes room in the row has a placement of its own: the same however often the command is sent, and in the order of the
 * commands, since ids begin with the moment they were made.
 */
const besideId = (commandId: string, plantId: string) => commandId.slice(0, 14) + uuidv5(plantId, commandId).slice(14);

/**
 * The slots that change where a plant comes to stand behind another, among those that stood there at that moment. Rows of one place
 * are changed one after the other.
 */
async function slotsFor(scope: Scope, placeId: string, plantId: string, after: string, at: Date) {
  await facts.advisoryLock(scope, `${placeId} row`);
  const row = await rowAt(scope, placeId, at);
  if (after !== "first" && !row.some((one) => one.plantId === after && one.plantId !== plantId))
    refuse("after", "unknown");
  return placeBehind(row, plantId, after);
}

/** The row of a place as it stood at a moment: by slot, and those without one behind, by code. */
async function rowAt(scope: Scope, placeId: string, at: Date): Promise<Slotted[]> {
  const ever = await placements.everAt(scope, [placeId]);
  const stood = groupBy(await facts.of(scope, "placement", "plantId", ever), (one) => one.plantId);
  const there = (await plants.many(scope, ever)).flatMap(({ id, code, archivedAt }) => {
    const stands = standsOf(stood.get(id) ?? [], archivedAt);
    const then = stands.find(({ from, until }) => from <= at && (until === null || at < until));
    return then?.placeId === placeId ? [{ plantId: id, slot: then.slot, code }] : [];
  });
  return there.toSorted((a, b) => (a.slot ?? Infinity) - (b.slot ?? Infinity) || byCode(a.code, b.code));
}
