import type { AddPlant, AddPlants } from "@/core/record/facts/commands";
import { USUAL_PLANT_VALUE } from "@/core/knowledge/plants/plantValue";
import type { Plant } from "@/core/record/facts/descriptions";
import * as carriage from "@/db/stores/plants/carriage";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import * as plants from "@/db/stores/plants/plants";
import { instantOf } from "@/zones";
import { today, type Context } from "../../shared/context";
import { transact, refuseAll, type CommandScope, type Outcome, type Problem } from "../../shared/outcome";
import { careOf, pastMoment } from "../../shared/checks";

/** Adds a plant where it stands. A plant added to an isolation place is new here until it first leaves it. */
export async function addPlant(context: Context, command: AddPlant): Promise<Outcome<{ id: string }>> {
  const outcome = await addPlants(context, { plants: [command] });
  if (outcome.ok) return { ok: true, value: { id: command.id } };
  return { ok: false, problems: outcome.problems.map((p) => ({ ...p, path: p.path.replace(/^plants\.0\./, "") })) };
}

/** Adds plants where they stand: all of them or, where something is wrong with one, none. */
export function addPlants(context: Context, { plants: added }: AddPlants): Promise<Outcome<{ ids: string[] }>> {
  return transact(context, "record", added[0]!.id, async (scope) => {
    const ids = added.map(({ id }) => id);
    const fresh: AddPlant[] = [];
    for (const plant of added) if (!(await facts.isThere(scope, "plants", plant.id))) fresh.push(plant);
    if (fresh.length === 0) return { ids };
    const problems = await problemsWith(context, scope, added, fresh);
    if (problems.length > 0) refuseAll(problems);
    const inherits = await inherited(scope, fresh);
    await plants.add(
      scope,
      fresh.map(
        ({
          placementId: _p,
          placeId: _w,
          slot: _s,
          inBud = false,
          worth = USUAL_PLANT_VALUE,
          kept = null,
          careAdded = [],
          careWithout = [],
          motherId = null,
          ...plant
        }) => ({
          ...plant,
          motherId,
          inherits: (motherId && inherits.get(motherId)) || {},
          inBud,
          worth,
          kept,
          ...careOf(careAdded, careWithout),
        }),
      ),
    );
    await facts.add(
      scope,
      "placement",
      fresh.map(({ id, placementId, placeId, slot = null, acquiredOn }) => ({
        id: placementId,
        plantId: id,
        placeId,
        slot,
        // It has stood there since it was acquired, as far as anyone has said: so a find written down late meets it in its place.
        at: acquiredOn ? instantOf(`${acquiredOn}T00:00`, scope.timeZone) : pastMoment(context, context.now),
      })),
    );
    scope.invalidateBeside(fresh.map(({ id }) => id));
    return { ids };
  });
}

/** What the mothers of cuttings may carry today, as it was reckoned last; what they are in a case for is told by that. */
async function inherited(
  scope: CommandScope,
  fresh: readonly AddPlant[],
): Promise<Map<string, NonNullable<Plant["inherits"]>>> {
  const mothers = [...new Set(fresh.flatMap(({ motherId }) => motherId ?? []))];
  const rows = await carriage.of(scope, mothers);
  return new Map(
    rows.map(({ plantId, result }) => [plantId, Object.fromEntries(result.pests.map(({ pest, p }) => [pest, p]))]),
  );
}

/** What is wrong with plants that are to be added, row by row. */
async function problemsWith(
  context: Context,
  scope: CommandScope,
  added: readonly AddPlant[],
  fresh: readonly AddPlant[],
): Promise<Problem[]> {
  // Commands that want the same codes go one after the other.
  await facts.advisoryLock(scope, `${scope.collectionId} codes`);
  const there = new Set((await places.all(scope)).map(({ id }) => id));
  const codes = fresh.map(({ code }) => code);
  const mothers = new Set(
    (
      await plants.many(
        scope,
        added.flatMap(({ motherId }) => motherId ?? []),
      )
    ).map(({ id }) => id),
  );
  const taken = new Set((await plants.withCodes(scope, codes)).map(({ code }) => code));
  const seen = new Set<string>();
  const now = today(context);
  return added.flatMap((plant, row): Problem[] => {
    if (!fresh.includes(plant)) return [];
    const at = (field: keyof AddPlant) => `plants.${row}.${field}`;
    const code = plant.code.toLowerCase();
    const wrong: Problem[] = [];
    if (taken.has(code)) wrong.push({ path: at("code"), code: "code_taken" });
    else if (seen.has(code)) wrong.push({ path: at("code"), code: "code_twice" });
    seen.add(code);
    if (plant.motherId && !mothers.has(plant.motherId)) wrong.push({ path: at("motherId"), code: "unknown" });
    if (!there.has(plant.placeId)) wrong.push({ path: at("placeId"), code: "unknown" });
    if (plant.acquiredOn && plant.acquiredOn > now) wrong.push({ path: at("acquiredOn"), code: "in_future" });
    return wrong;
  });
}
