import { addDays } from "@/core/shared/days";
import type { Sample } from "@/core/climate/samples";
import * as sensors from "@/db/stores/climate/sensors";
import { dayOf, scopeOf, today, type Context } from "../../shared/context";
import { expectOk, transact } from "../../shared/outcome";
import { askSensor, SensorFailed } from "../askSensor";
import { believedDays, putDays } from "../climateDays";

/** A device is asked so often, and not before so long ago. */
const EVERY_MS = 5 * 60_000;
/** What was told is kept so long: a device that was away for weeks may still tell. */
const KEPT_DAYS = 45;
/** A device that has more to tell is asked again, so often and so long at most in one turn; the rest it tells in the next. */
const MOST_PAGES = 40;
const PATIENCE_MS = 20_000;
const DAY_MS = 86_400_000;
/** Days are made of what was told from so long before them on, so that one that is stuck shows. */
const BEFORE_MS = 2 * DAY_MS;

/**
 * Asks every device of a collection what it has measured since it was heard last, and makes days of it. A device that lies, stops, repeats
 * itself or tells of the future changes no day; what it could not be asked is noted with it.
 */
export async function senseClimate(context: Context, more: () => boolean, ask = askSensor): Promise<void> {
  const scope = scopeOf(context, "own");
  const due = (await sensors.all(scope)).filter(
    ({ askedAt }) => !askedAt || context.now.getTime() - askedAt.getTime() >= EVERY_MS,
  );
  // Each on its own: one that is slow holds back no other.
  await Promise.all(due.map((sensor) => (more() ? hear(context, sensor, ask) : null)));
  await sensors.forget(scope, new Date(context.now.getTime() - KEPT_DAYS * DAY_MS));
}

async function hear(context: Context, sensor: sensors.Sensor, ask: typeof askSensor): Promise<void> {
  const { id } = sensor;
  const oldest = new Date(context.now.getTime() - KEPT_DAYS * DAY_MS);
  let since = sensor.toldUntil && sensor.toldUntil > oldest ? sensor.toldUntil : oldest;
  const received: Sample[] = [];
  let battery = sensor.battery;
  let problem: string | null = null;
  try {
    const begun = performance.now();
    for (let page = 0; page < MOST_PAGES && performance.now() - begun < PATIENCE_MS; page++) {
      const answer = await ask(sensor.address, since);
      battery = answer.battery ?? null;
      const fresh = answer.readings
        .map(({ at, celsius, humidity }): Sample => ({ at: new Date(at), celsius, humidity: humidity ?? null }))
        .filter(({ at, celsius }) => at >= oldest && at <= context.now && Number.isFinite(celsius));
      received.push(...fresh);
      const last = fresh.reduce((latest, { at }) => (at > latest ? at : latest), since);
      // One that repeats itself would be asked for ever.
      if (!answer.more || last <= since) break;
      since = last;
    }
  } catch (error) {
    if (!(error instanceof SensorFailed)) throw error;
    problem = error.code;
  }
  expectOk(
    await transact(context, "own", `sensor ${id}`, async (scope) => {
      // It may have been taken away while it was asked.
      const there = await sensors.find(scope, id);
      if (!there || there.address !== sensor.address) return;
      const last = received.reduce<Date | null>(
        (latest, { at }) => (!latest || at > latest ? at : latest),
        there.toldUntil,
      );
      const heard = problem === null ? { heardAt: context.now, toldUntil: last, battery } : {};
      await sensors.heard(scope, id, { askedAt: context.now, problem, ...heard });
      await sensors.keep(scope, id, received);
      // Also where nothing new was told: the day on which a device fell silent is over all the same.
      const first = received.reduce((earliest, { at }) => (at < earliest ? at : earliest), context.now);
      const from = new Date(first.getTime() - BEFORE_MS);
      const { days } = believedDays(context, await sensors.samplesOf(scope, id, from));
      // The day before may have ended since it was heard last; days cut off by how far back was read are none.
      const begin = addDays(dayOf(context, first), -1);
      const over = days.filter(({ day }) => day >= begin && day < today(context) && day > dayOf(context, oldest));
      await putDays(scope, there.placeId, "sensor", id, over);
    }),
  );
}
