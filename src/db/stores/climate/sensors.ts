import { z } from "zod";
import type { Sample } from "@/core/climate/samples";
import type { KeepSensor } from "@/core/climate/sensors";
import type { Scope } from "../../connection";
import { first, insert, rows, run, update } from "../../query";

const kept = z.object({
  id: z.string(),
  name: z.string(),
  placeId: z.string(),
  address: z.string(),
  askedAt: z.date().nullable(),
  heardAt: z.date().nullable(),
  toldUntil: z.date().nullable(),
  battery: z.number().nullable(),
  problem: z.string().nullable(),
});
/** A device that tells the air of a place, and how it was when it was asked last. */
export type Sensor = z.output<typeof kept>;

const select = `select id, name, place_id as "placeId", address, asked_at as "askedAt", heard_at as "heardAt",
  told_until as "toldUntil", battery, problem from sensors where collection_id = :c`;

export function all(scope: Scope): Promise<Sensor[]> {
  return rows(scope, kept, `${select} order by name, id`);
}

export function find(scope: Scope, id: string): Promise<Sensor | null> {
  return first(scope, kept, `${select} and id = :id for no key update`, { id });
}

export function add(scope: Scope, sensor: KeepSensor): Promise<void> {
  return insert(scope, "sensors", [{ ...sensor, keptAt: scope.now }]);
}

export function change(scope: Scope, { id, ...sensor }: KeepSensor): Promise<void> {
  return update(scope, "sensors", id, { ...sensor });
}

export async function drop(scope: Scope, id: string): Promise<void> {
  await run(scope, "delete from sensor_samples where collection_id = :c and sensor_id = :id", { id });
  await run(scope, "delete from sensors where collection_id = :c and id = :id", { id });
}

/** Notes how it went to ask a device. */
export function heard(
  scope: Scope,
  id: string,
  how: Partial<Pick<Sensor, "heardAt" | "toldUntil" | "battery">> & Pick<Sensor, "askedAt" | "problem">,
): Promise<void> {
  return update(scope, "sensors", id, { ...how });
}

/** Keeps what a device has told; a moment that it has told before stays as it was. */
export function keep(scope: Scope, sensorId: string, samples: readonly Sample[]): Promise<void> {
  const values = samples.map(({ at, celsius, humidity }) => ({ at: at.toISOString(), celsius, humidity }));
  return run(
    scope,
    `insert into sensor_samples (collection_id, sensor_id, at, celsius, humidity)
     select :c, cast(:sensorId as uuid), r.at, r.celsius, r.humidity
     from jsonb_to_recordset(cast(:values as jsonb)) as r(at timestamptz, celsius float8, humidity float8)
     on conflict do nothing`,
    { sensorId, values: JSON.stringify(values) },
  );
}

const sample = z.object({ at: z.date(), celsius: z.number(), humidity: z.number().nullable() });

/** What a device has told from a moment on, oldest first. */
export function samplesOf(scope: Scope, sensorId: string, from: Date): Promise<Sample[]> {
  const sql = `select at, celsius, humidity from sensor_samples
    where collection_id = :c and sensor_id = :sensorId and at >= :from order by at`;
  return rows(scope, sample, sql, { sensorId, from });
}

/** Forgets what was told before a moment: its days are made. */
export function forget(scope: Scope, before: Date): Promise<void> {
  return run(scope, "delete from sensor_samples where collection_id = :c and at < :before", { before });
}
