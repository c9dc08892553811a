import { v7 as uuidv7 } from "uuid";
import type { SentLater } from "../../src/core/record/facts/sentLater";
import { verdict, type Target } from "./target";

/** A command as the outbox sends it. */
export type Sent = SentLater;

/** The row that a command comes to, whole but for what is the server's to say; and those beneath it. */
interface Expected {
  readonly table: string;
  readonly id: string;
  readonly row: Readonly<Record<string, unknown>>;
  readonly finds?: readonly Readonly<Record<string, unknown>>[];
  /** When it was; null where nobody was told. */
  readonly at: string | null;
}

/** Told to the minute. */
const MINUTE_MS = 60_000;

const now = () => new Date().toISOString();

/** A look at a plant just now, with a find every third time. */
export function aLook(plantId: string, n: number): Extract<Sent, { kind: "look" }> {
  const what = { pest: "mealybug", severity: "light", count: null, removed: false } as const;
  const finds = n % 3 === 0 ? [{ id: uuidv7(), caseId: uuidv7(), ...what }] : [];
  return {
    kind: "look",
    input: { id: uuidv7(), plantId, at: now(), tool: "lamp", spots: ["pot"], note: `look ${n}`, finds },
  };
}

/**
 * The commands of one press, in the order in which they are sent: looks, treatments, what was cleaned, timers that are started and ended, plants
 * left out of a walk, and what is taken back. Which kind is said by `n`.
 */
export function press({ plantIds, walkId }: Pick<Target, "plantIds" | "walkId">, n: number): readonly Sent[] {
  const plantId = plantIds[n % plantIds.length]!;
  const id = uuidv7();
  switch (n % 8) {
    case 1: {
      const act = { kind: "contact", mix: "soapMild", technique: "spray", volumeMl: 80, spots: ["axil"] } as const;
      const filed = { plantId, placeId: null, caseId: null, stepId: null, at: now(), note: `spray ${n}` };
      return [{ kind: "act", input: { id, ...filed, act: { ...act, spots: [...act.spots] }, alreadyDone: true } }];
    }
    case 2:
      return [{ kind: "cleaned", input: { id, walkId: null, at: now() } }];
    case 3:
      return [{ kind: "timer", input: { id, plantId, what: "fan", minutes: 60 + n, at: now() } }];
    case 4:
      return [
        { kind: "timer", input: { id, plantId, what: "dark", minutes: 30, at: now() } },
        { kind: "timerEnd", input: { timerId: id, at: now() } },
      ];
    case 5:
      return [{ kind: "skip", input: { id, walkId, plantId, reason: "noTime", at: now() } }];
    case 6: {
      const look = aLook(plantId, n);
      return [look, { kind: "void", input: { kind: "look", factId: look.input.id, reason: `not so, ${n}` } }];
    }
    default:
      return [aLook(plantId, n)];
  }
}

function expected(sent: Sent): Expected {
  switch (sent.kind) {
    case "look": {
      const { id, plantId, tool, spots, note, finds, at } = sent.input;
      // Under which case a find is filed is the server's to say: a plant may be in one already.
      const beneath = finds.map(({ id: findId, pest, severity, count, removed }) => {
        return { id: findId, pest, severity, count, removed };
      });
      return { table: "looks", id, row: { plant_id: plantId, tool, spots, note }, finds: beneath, at: String(at) };
    }
    case "act": {
      const { id, plantId, act, note, at } = sent.input;
      return {
        table: "acts",
        id,
        row: { plant_id: plantId, place_id: null, case_id: null, act, note },
        at: String(at),
      };
    }
    case "cleaned":
      return { table: "cleanings", id: sent.input.id, row: { walk_id: null }, at: String(sent.input.at) };
    case "timer": {
      const { id, plantId, what } = sent.input;
      return { table: "timers", id, row: { plant_id: plantId, what }, at: null };
    }
    case "timerEnd":
      return { table: "timers", id: sent.input.timerId, row: {}, at: null };
    case "skip": {
      const { id, plantId, walkId, reason, at } = sent.input;
      return { table: "skips", id, row: { plant_id: plantId, walk_id: walkId, reason }, at: String(at) };
    }
    case "void":
      return { table: "looks", id: sent.input.factId, row: { void_reason: sent.input.reason }, at: null };
    default:
      throw new Error(`${sent.kind} is not sent here`);
  }
}

/** A value without the order in which its keys stand. */
const plain = (value: unknown): string =>
  JSON.stringify(value, (_, one: unknown) =>
    one && typeof one === "object" && !Array.isArray(one)
      ? Object.fromEntries(Object.entries(one).toSorted(([a], [b]) => (a < b ? -1 : 1)))
      : one,
  );

/** Says whether what was acknowledged is there, once and whole: each column as it was sent. Not its `moments` where a clock was wrong. */
export async function isKept(
  { query }: Pick<Target, "query">,
  what: string,
  acknowledged: readonly Sent[],
  least: number,
  moments = true,
): Promise<void> {
  let lost = 0;
  let doubled = 0;
  const other: string[] = [];
  for (const sent of acknowledged) {
    const { table, id, row, finds = [], at } = expected(sent);
    const there = await query<{ row: Record<string, unknown> }>(
      `select to_jsonb(t) as row from ${table} t where t.id = $1`,
      [id],
    );
    if (there.length === 0) lost++;
    if (there.length > 1) doubled++;
    const kept = there[0]?.row;
    if (!kept) continue;
    const wrong = Object.entries(row).filter(([column, value]) => plain(kept[column]) !== plain(value));
    const since = at === null ? 0 : new Date(String(kept["happened_at"])).getTime() - new Date(at).getTime();
    if (moments && Math.abs(since) > MINUTE_MS) wrong.push(["happened_at", at]);
    if (sent.kind === "timerEnd" && kept["ended_at"] === null) wrong.push(["ended_at", "ended"]);
    if (sent.kind === "look") {
      const beneath = await query<{ row: Record<string, unknown> }>(
        "select to_jsonb(f) as row from finds f where f.look_id = $1 order by f.id",
        [id],
      );
      if (beneath.length !== finds.length) wrong.push(["finds", finds.length]);
      for (const find of finds) {
        const own = beneath.find((one) => one.row["id"] === find["id"])?.row;
        for (const [column, value] of Object.entries(find))
          if (plain(own?.[column]) !== plain(value)) wrong.push([`find's ${column}`, value]);
      }
    }
    if (wrong.length > 0) other.push(`${table} ${id}: ${wrong.map(([column]) => column).join(", ")}`);
  }
  for (const one of other.slice(0, 5)) console.log(`not as sent: ${one}`);
  const kinds = new Set(acknowledged.map(({ kind }) => kind)).size;
  verdict(
    `${what}, ${acknowledged.length} acknowledged commands of ${kinds} kinds: ${lost} lost, ${doubled} doubled, ${other.length} not as sent`,
    lost === 0 && doubled === 0 && other.length === 0 && acknowledged.length >= least,
  );
}
