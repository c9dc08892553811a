"use client";

import { Pause, Play } from "lucide-react";
import { memo, useEffect, useLayoutEffect, useMemo, useRef, useState, type CSSProperties } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import type { Day } from "@/core/shared/days";
import { daysOf, happeningsOf, sceneOn, type Happening, type OnStage, type Replay } from "@/core/advice/replay/replay";
import { Flower } from "@/ui/mark/Flower";
import { percent } from "@/wording/advice/chances";
import { dayInWords } from "@/wording/dates";
import { happeningSentence } from "@/wording/advice/replay";
import { InWeek } from "./InWeek";
import { layOut, TILE, type Laid } from "./layout";

/** A day lasts so long while it plays, ms. */
const DAY_MS = 120;

/** The shelves on one day of the year: a slider goes through the days, or they play by themselves. */
export function ReplayShelves({ replay }: { replay: Replay }) {
  const days = useMemo(() => daysOf(replay), [replay]);
  const happenings = useMemo(() => happeningsOf(replay), [replay]);
  const strip = useMemo(() => stripOf(happenings, days), [happenings, days]);
  const [at, setAt] = useState(days.length - 1);
  const [playing, setPlaying] = useState(false);
  const [width, setWidth] = useState(900);
  const stage = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const measure = () => setWidth(stage.current?.clientWidth ?? 900);
    measure();
    window.addEventListener("resize", measure);
    return () => window.removeEventListener("resize", measure);
  }, []);
  const ended = at === days.length - 1;
  const running = playing && !ended;
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(() => setAt((before) => Math.min(days.length - 1, before + 1)), DAY_MS);
    return () => clearInterval(timer);
  }, [running, days]);
  const day = days[at]!;
  const scene = useMemo(() => sceneOn(replay, day), [replay, day]);
  const { rows, tiles, height } = useMemo(() => layOut(replay, scene, width), [replay, scene, width]);
  const codes = new Map(replay.plants.map(({ id, code }) => [id, code]));
  const names = new Map(replay.places.map(({ id, name }) => [id, name]));
  const placed = new Map(tiles.map((tile) => [tile.on.plant.id, tile]));
  const play = () => {
    if (ended) setAt(0);
    setPlaying(!running);
  };
  const step = (by: number) => {
    setPlaying(false);
    setAt((before) => Math.max(0, Math.min(days.length - 1, before + by)));
  };
  return (
    <>
      <div className="replay-bar">
        <Button className="big" onClick={play} aria-label={running ? "Stop" : "Play the year"}>
          {running ? <Pause size={22} aria-hidden /> : <Play size={22} aria-hidden />}
        </Button>
        <Button variant="outline-primary" className="big" onClick={() => step(-7)}>
          −1 week
        </Button>
        <Button variant="outline-primary" className="big" onClick={() => step(7)}>
          +1 week
        </Button>
        <strong className="replay-day">{dayInWords(day)}</strong>
      </div>
      <HappenedStrip happened={strip} days={days.length} at={at} />
      <Form.Range
        aria-label="Day"
        aria-valuetext={dayInWords(day)}
        min={0}
        max={days.length - 1}
        value={at}
        onChange={(event) => {
          setPlaying(false);
          setAt(Number(event.target.value));
        }}
      />
      <div ref={stage} className="replay-stage" style={{ height }} role="img" aria-label={inWords(scene, names)}>
        {rows.map(({ placeId, left, top, width: wide, height: tall }) => (
          <div
            key={placeId}
            className="replay-row"
            style={{ transform: `translate(${left}px, ${top}px)`, width: wide, height: tall }}
          >
            <span>{names.get(placeId)}</span>
          </div>
        ))}
        {tiles.map(({ on, x, y }) => (
          <Tile
            key={on.plant.id}
            code={on.plant.code}
            state={on.state}
            apart={on.apart}
            treated={on.treated}
            x={x}
            y={y}
          />
        ))}
        <svg className="replay-ways" aria-hidden="true">
          {scene.ways.map((way) => {
            const [from, to] = [placed.get(way.fromId), placed.get(way.plantId)];
            return from && to && <Way key={way.caseId} from={from} to={to} share={way.share} />;
          })}
        </svg>
      </div>
      <p className="small">
        The flower shows how each plant was: infested, next to a find, or neither. A ring: treated within two days. A
        line: the likeliest way a find of the last two weeks came, with how likely that is.
      </p>
      <InWeek
        happenings={happenings.filter((one) => one.day <= day && one.day > (days[Math.max(0, at - 7)] ?? day))}
        sentence={(one) =>
          happeningSentence(one, {
            code: codes.get(one.plantId) ?? "",
            place: one.placeId === null ? null : (names.get(one.placeId) ?? null),
            way: replay.ways.find(({ caseId }) => caseId === one.caseId && one.what === "found") ?? null,
            codeOf: (id) => codes.get(id) ?? null,
          })
        }
      />
    </>
  );
}

/** How many plants stood how, place by place. */
function inWords({ rows }: ReturnType<typeof sceneOn>, names: ReadonlyMap<string, string>): string {
  return rows
    .filter(({ plants }) => plants.length > 0)
    .map(({ placeId, plants }) => {
      const infested = plants.filter(({ state }) => state === "infested").map(({ plant }) => plant.code);
      return `${names.get(placeId)}: ${plants.length}${infested.length > 0 ? `, infested ${infested.join(", ")}` : ""}`;
    })
    .join(". ");
}

interface TileProps extends Pick<OnStage, "state" | "apart" | "treated"> {
  readonly code: string;
  readonly x: number;
  readonly y: number;
}

const Tile = memo(function Tile({ code, state, apart, treated, x, y }: TileProps) {
  return (
    <div
      className={`replay-pot ${treated ? "treated" : ""}`}
      style={{ transform: `translate(${x}px, ${y}px)` } as CSSProperties}
    >
      <Flower state={state} petals={5} apart={apart} size="small" silent />
      <span>{code}</span>
    </div>
  );
});

function Way({ from, to, share }: { from: Laid; to: Laid; share: number }) {
  const middle = (tile: Laid) => ({ x: tile.x + TILE.width / 2, y: tile.y + TILE.height / 3 });
  const [a, b] = [middle(from), middle(to)];
  return (
    <g>
      <path d={`M ${a.x} ${a.y} Q ${(a.x + b.x) / 2} ${Math.min(a.y, b.y) - 26} ${b.x} ${b.y}`} />
      <text x={(a.x + b.x) / 2} y={Math.min(a.y, b.y) - 15}>
        {percent(share)}
      </text>
    </g>
  );
}

/** A day on which something was found or treated, by its number in the replay. */
interface HappenedOn {
  readonly at: number;
  readonly what: "found" | "treated";
}

/** The days on which something was found, and those on which something was treated: each once. */
function stripOf(happenings: readonly Happening[], days: readonly Day[]): readonly HappenedOn[] {
  const numbers = new Map(days.map((day, i) => [day, i]));
  const on = (what: HappenedOn["what"]) =>
    [...new Set(happenings.flatMap((one) => (one.what === what ? [numbers.get(one.day)!] : [])))].map((at) => ({
      at,
      what,
    }));
  return [...on("found"), ...on("treated")];
}

/** Where in the year something happened: finds above, treatments below. */
function HappenedStrip({ happened, days, at }: { happened: readonly HappenedOn[]; days: number; at: number }) {
  return (
    <svg className="replay-strip" viewBox={`0 0 ${days} 20`} preserveAspectRatio="none" aria-hidden="true">
      {happened.map(({ at: on, what }) => (
        <rect
          key={`${what} ${on}`}
          className={what}
          x={on}
          y={what === "found" ? 0 : 11}
          width={Math.max(1, days / 200)}
          height={9}
        />
      ))}
      <rect className="now" x={at} y={0} width={Math.max(0.6, days / 400)} height={20} />
    </svg>
  );
}
