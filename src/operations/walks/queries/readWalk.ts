import { USUAL_C, type Circumstances } from "@/core/advice/diagnosis/priors";
import { idIn } from "@/core/shared/fields";
import type { Walk } from "@/core/record/facts/descriptions";
import type { ToolId } from "@/core/model/inspection/tools";
import type { PestId } from "@/core/knowledge/pests/pests";
import type { GrowthFormId } from "@/core/knowledge/plants/growthForms";
import type { WalkPlant } from "@/core/advice/walks/order";
import { proneTo, sensitivitiesOf } from "@/core/knowledge/plants/care";
import type { Sensitivity } from "@/core/knowledge/plants/sensitivities";
import type { Round } from "@/core/model/inspection/rounds";
import { madeAtMs, type WalkEvent } from "@/core/advice/walks/progress";
import type { Day } from "@/core/shared/days";
import * as walks from "@/db/stores/walks/walks";
import { scopeOf, today, type Context } from "../../shared/context";
import { nearbyPests, seasonNow } from "../../cases/nearbyPests";
import { placesAsTheyStand, type StandingPlace } from "../../places/placesAsTheyStand";

/** One plant of a walk, as plain data: everything its screen needs is there before it is reached. */
export interface Stop extends WalkPlant {
  /** What to look with and where on a walk of chosen plants; null where the walk's own ways hold. */
  readonly tool: ToolId | null;
  readonly round: Round | null;
  readonly name: string;
  readonly petals: number;
  readonly growthForm: GrowthFormId;
  readonly potCm: number;
  /** What bears on which pest it has, beside its signs. */
  readonly circumstances: Circumstances;
  /** What whoever lifts and turns it must take care of. */
  readonly sensitivities: readonly Sensitivity[];
  readonly openCases: readonly { readonly caseId: string; readonly pest: PestId }[];
  /** The look before this walk; null when there was none. */
  readonly last: {
    readonly day: Day;
    readonly tool: ToolId;
    readonly pests: readonly PestId[];
    readonly note: string;
  } | null;
  /** Pests that left marks on it. */
  readonly scars: readonly PestId[];
}

export interface WalkView {
  readonly walk: Walk;
  readonly stops: readonly Stop[];
  readonly events: readonly WalkEvent[];
  readonly places: readonly StandingPlace[];
}

/** A walk with everything needed to go on with it; null when there is no such walk. */
export async function readWalk(context: Context, asked: string): Promise<WalkView | null> {
  const id = idIn(asked);
  if (!id) return null;
  const scope = scopeOf(context, "see");
  const walk = await walks.find(scope, id);
  if (!walk) return null;
  const members = await walks.members(scope, id);
  const near = await nearbyPests(
    scope,
    members.map((member) => member.plantId),
  );
  const standing = await placesAsTheyStand(scope, today(context));
  const meanC = new Map(standing.map((place) => [place.id, place.meanC]));
  const season = seasonNow(context);
  const stops = members.map(
    ({
      plantId,
      lastOn,
      lastTool,
      lastNote,
      lastPests,
      everPests,
      seller,
      genus,
      careAdded,
      careWithout,
      ...member
    }): Stop => ({
      ...member,
      id: plantId,
      openCases: near.openOn(plantId),
      sensitivities: sensitivitiesOf({ genus, growthForm: member.growthForm, careAdded, careWithout }).map((s) => s.id),
      circumstances: {
        form: member.growthForm,
        meanC: meanC.get(member.placeId) ?? USUAL_C,
        season,
        prone: proneTo(genus),
        nearby: near.of({ id: plantId, seller, placeId: member.placeId }),
      },
      last: lastOn && lastTool ? { day: lastOn, tool: lastTool, pests: lastPests, note: lastNote ?? "" } : null,
      scars: everPests,
    }),
  );
  return {
    walk,
    stops,
    events: (await walks.events(scope, id)).map((event) => ({ ...event, atMs: madeAtMs(event.id) })),
    places: standing,
  };
}
