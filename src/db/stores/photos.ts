import type { Photo } from "@/core/facts/records";
import type { Scope } from "../connection";
import { insert, rows } from "../query";

const columns = `f.id, f.look_id as "lookId", f.width, f.height`;

export interface FoundPhoto extends Photo {
  readonly plantId: string;
  readonly voidReason: string | null;
}

export async function find(scope: Scope, id: string): Promise<FoundPhoto | null> {
  const sql = `select ${columns}, f.void_reason as "voidReason", k.plant_id as "plantId"
    from photos f join looks k on k.collection_id = f.collection_id and k.id = f.look_id
    where f.collection_id = :c and f.id = :id`;
  return (await rows<FoundPhoto>(scope, sql, { id }))[0] ?? null;
}

/** Photos of a plant's looks, oldest first; voided ones left out. */
export function ofPlant(scope: Scope, plantId: string): Promise<Photo[]> {
  const sql = `select ${columns} from photos f
    join looks k on k.collection_id = f.collection_id and k.id = f.look_id
    where f.collection_id = :c and k.plant_id = :plantId and f.voided_at is null order by f.recorded_at`;
  return rows<Photo>(scope, sql, { plantId });
}

/** The picture itself; null where there is none, or it was struck out. */
export async function bytesOf(scope: Scope, id: string): Promise<{ mediaType: string; bytes: Buffer } | null> {
  const sql = `select media_type as "mediaType", bytes from photos
    where collection_id = :c and id = :id and voided_at is null`;
  return (await rows<{ mediaType: string; bytes: Buffer }>(scope, sql, { id }))[0] ?? null;
}

export async function add(
  scope: Scope,
  photo: Photo & { mediaType: string; bytes: Buffer },
  recordedAt: Date,
): Promise<void> {
  await insert(scope, "Photo", { ...photo, recordedAt });
}

export async function countOf(scope: Scope, lookId: string): Promise<number> {
  const sql = `select count(*)::int as n from photos where collection_id = :c and look_id = :lookId and voided_at is null`;
  return (await rows<{ n: number }>(scope, sql, { lookId }))[0]?.n ?? 0;
}
