import { daysOf, sceneOn, type OnStage, type Replay, type Scene } from "@/core/advice/replay/replay";

/** What a plant takes on the stage, px. */
export const TILE = { width: 46, height: 58 };
const NAME_PX = 22;
const GAP_PX = 6;
const COLUMN_GAP_PX = 20;
/** On a stage so wide shelves stand in two columns. */
const TWO_FROM_PX = 700;

/** A plant where it is drawn, px from the upper left corner of the stage. */
export interface Laid {
  readonly on: OnStage;
  readonly x: number;
  readonly y: number;
}

export interface LaidRow {
  readonly placeId: string;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** The most plants that each place ever held: a shelf keeps its height while plants come and go. */
const fullest = new WeakMap<Replay, ReadonlyMap<string, number>>();

function mostAt(replay: Replay): ReadonlyMap<string, number> {
  const known = fullest.get(replay);
  if (known) return known;
  // Only where somebody came or left does it change.
  const turns = new Set(replay.plants.flatMap(({ stays }) => stays.map(({ from }) => from)));
  const most = new Map<string, number>();
  for (const day of daysOf(replay).filter((one, i) => i === 0 || turns.has(one)))
    for (const { placeId, plants } of sceneOn(replay, day).rows)
      most.set(placeId, Math.max(most.get(placeId) ?? 0, plants.length));
  fullest.set(replay, most);
  return most;
}

/**
 * Where everything of a scene stands on a stage so wide: each shelf below those before it, or in the column that is shorter. Plants keep
 * their order along their shelf.
 */
export function layOut(
  replay: Replay,
  scene: Scene,
  width: number,
): { readonly rows: readonly LaidRow[]; readonly tiles: readonly Laid[]; readonly height: number } {
  const most = mostAt(replay);
  const columns = width >= TWO_FROM_PX ? 2 : 1;
  const wide = (width - (columns - 1) * COLUMN_GAP_PX) / columns;
  const perLine = Math.max(1, Math.floor(wide / TILE.width));
  const rows: LaidRow[] = [];
  const tiles: Laid[] = [];
  const tops = Array.from({ length: columns }, () => 0);
  for (const { placeId, plants } of scene.rows) {
    const lines = Math.max(1, Math.ceil((most.get(placeId) ?? 1) / perLine));
    const height = NAME_PX + lines * TILE.height;
    const column = tops.indexOf(Math.min(...tops));
    const [left, top] = [column * (wide + COLUMN_GAP_PX), tops[column]!];
    rows.push({ placeId, left, top, width: wide, height });
    plants.forEach((on, i) => {
      const y = top + NAME_PX + Math.floor(i / perLine) * TILE.height;
      tiles.push({ on, x: left + (i % perLine) * TILE.width, y });
    });
    tops[column] = top + height + GAP_PX;
  }
  // In an order that never changes, so that a plant that moves is the same one on its way.
  return { rows, tiles: tiles.toSorted((a, b) => (a.on.plant.id < b.on.plant.id ? -1 : 1)), height: Math.max(...tops) };
}
