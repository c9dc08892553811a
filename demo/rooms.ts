import { addDays } from "../src/core/shared/days";
import type { GnatWayId } from "../src/core/acts/gnatWayIds";
import { gnatWays } from "../src/core/acts/gnatWays";
import { beginProgramme } from "../src/operations/seasons/commands/beginProgramme";
import { countTraps } from "../src/operations/seasons/commands/countTraps";
import { today, type Context } from "../src/operations/shared/context";
import { importReadings } from "../src/operations/climate/commands/importReadings";
import { keepSensor } from "../src/operations/climate/commands/keepSensor";
import { expectOk } from "../src/operations/shared/outcome";
import { recordAct } from "../src/operations/acts/commands/recordAct";
import { airAt } from "./air/course";
import type { PlaceKey } from "./collection";

type IdOf = (...parts: readonly (string | number)[]) => string;

/** Where the simulated devices answer. */
const airPort = () => process.env["AIR_PORT"] ?? "3189";
const YEAR_DAYS = 365;
/** A week of the spring in which the device lay in a drawer: a gap. */
const GAP = { from: 240, until: 233 };

/** A year of the lamp room's air, day by day, and the device that goes on telling it. */
export async function loadAir(context: Context, idOf: IdOf): Promise<void> {
  const day = today(context);
  const placeId = idOf("place", "lampRoom");
  const rows = Array.from({ length: YEAR_DAYS }, (_, i) => YEAR_DAYS - i)
    .filter((ago) => ago > GAP.from || ago < GAP.until)
    .map((ago) => {
      const on = addDays(day, -ago);
      const air = Array.from({ length: 24 }, (_, hour) =>
        airAt("lamp-room", new Date(Date.parse(`${on}T00:00:00Z`) + hour * 3_600_000)),
      );
      const celsius = air.map((one) => one.celsius);
      const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
      return {
        ...{ date: on, min: String(Math.min(...celsius)), max: String(Math.max(...celsius)) },
        ...{ mean: mean(celsius).toFixed(2), humidity: mean(air.map((one) => one.humidity)).toFixed(0) },
      };
    });
  expectOk(await importReadings(context, { placeId, rows }));
  const address = `http://127.0.0.1:${airPort()}/air/lamp-room`;
  expectOk(
    await keepSensor(context, { id: idOf("sensor", "lampRoom"), name: "Air of the lamp room", placeId, address }),
  );
}

const room: PlaceKey = "bath";
const ways: GnatWayId[] = ["dryTop", "sandCap", "larvicide", "cards"];
const size = { pots: 5, drenchMl: 1500, cards: 1 };
/** What was done against the bathroom's gnats, and what was counted, so many days ago. */
const done: readonly (readonly [ago: number, way: GnatWayId])[] = [
  [31, "cards"],
  [24, "dryTop"],
  [24, "sandCap"],
  [23, "larvicide"],
  [16, "larvicide"],
  [9, "larvicide"],
  [3, "cards"],
];
const counts: readonly (readonly [ago: number, count: number])[] = [
  [24, 16],
  [17, 15],
  [10, 8],
  [3, 3],
];
const slice = { ago: 20, plant: "B01", larvae: 11 } as const;

/** Gnats in the bathroom, three weeks on. `at` gives the context of a day so many days ago. */
export async function loadGnats(at: (ago: number) => Context, idOf: IdOf): Promise<void> {
  const placeId = idOf("place", room);
  const chosen = { programme: "gnats" as const, ways };
  expectOk(await beginProgramme(at(24), { id: idOf("programme", room), placeId, chosen }));
  for (const [ago, way] of done) {
    const context = at(ago);
    const filed = { plantId: null, placeId, caseId: null, stepId: null };
    const act = { id: idOf("way", way, ago), ...filed, act: gnatWays[way].act(size), at: context.now, note: "" };
    expectOk(await recordAct(context, { ...act, alreadyDone: false }));
  }
  for (const [ago, count] of counts) {
    const context = at(ago);
    const counted = { id: idOf("count", ago), placeId, plantId: null, what: "cards" as const, days: 7, count };
    expectOk(await countTraps(context, { ...counted, at: context.now }));
  }
  const context = at(slice.ago);
  const larvae = {
    id: idOf("slice", slice.plant),
    placeId,
    plantId: idOf("plant", slice.plant),
    what: "slice" as const,
  };
  expectOk(await countTraps(context, { ...larvae, days: 4, count: slice.larvae, at: context.now }));
}
