import type { ReactNode } from "react";
import type { LookAlikeId } from "@/core/knowledge/signs/lookAlikes";
import { lookAlikeNames } from "@/wording/names/signs";

/** What is taken for an animal and is none, each on what it is seen on: a scene of 96 by 64. Our own drawings. */
const LINE = "var(--animal-line)";
const WAX = "var(--animal-wax)";
const ROOT = "var(--animal-root)";
const pen = { fill: "none", stroke: LINE, strokeWidth: 1.6, strokeLinecap: "round", strokeLinejoin: "round" } as const;
const GREEN = "#7fa568";
const DARK = "#5f7f4c";
const MIX = "#6b5645";

const Leaf = ({ fill = GREEN }: { fill?: string }) => (
  <>
    <path d="M4 40C18 6 70 2 92 26C76 60 24 66 4 40Z" fill={fill} stroke={LINE} strokeWidth={1.6} />
    <path {...pen} stroke={DARK} d="M6 40C34 30 62 26 90 26M28 34l10 16M46 30l10 18M34 31l-2-14M54 28l2-14" />
  </>
);
const Mix = () => <path d="M0 38q12-6 24 0t24-1 24 1 24-2v28H0Z" fill={MIX} />;
const Cactus = ({ ribs = 4 }: { ribs?: number }) => (
  <>
    <path d="M14 64C6 20 30 4 48 4s42 16 34 60Z" fill={GREEN} stroke={LINE} strokeWidth={1.6} />
    {Array.from({ length: ribs }, (_, i) => (
      <path key={i} {...pen} stroke={DARK} d={`M${26 + i * 15} 64q${(i - 1.5) * 4} -34 ${(1.5 - i) * 10} -56`} />
    ))}
  </>
);
const dots = (at: readonly (readonly [number, number])[], r: number, fill: string, line = LINE) =>
  at.map(([x, y]) => <circle key={`${x} ${y}`} cx={x} cy={y} r={r} fill={fill} stroke={line} strokeWidth={1} />);
const grid = (columns: number, rows: number, x: number, y: number, dx: number, dy: number) =>
  Array.from({ length: columns * rows }, (_, i): readonly [number, number] => [
    x + (i % columns) * dx,
    y + Math.floor(i / columns) * dy,
  ]);
const Tuft = ({ x, y }: { x: number; y: number }) => (
  <path d={`M${x - 5} ${y}q0-6 5-6t5 6q-5 5-10 0Z`} fill={WAX} stroke={LINE} strokeWidth={0.8} />
);

const drawings: Readonly<Record<LookAlikeId, ReactNode>> = {
  perlite: (
    <>
      <Mix />
      {[
        [16, 46, 6],
        [36, 52, 8],
        [58, 44, 5],
        [74, 54, 9],
        [48, 40, 4],
      ].map(([x, y, s]) => (
        <path
          key={x}
          d={`M${x! - s!} ${y}l${s! * 0.6}-${s!}h${s!}l${s! * 0.6} ${s! * 0.8}l-${s! * 0.5} ${s!}h-${s! * 1.2}Z`}
          fill={WAX}
          stroke={LINE}
          strokeWidth={1}
        />
      ))}
    </>
  ),
  aerialRoots: (
    <>
      <path d="M38 0h18v64H38Z" fill={GREEN} stroke={LINE} strokeWidth={1.6} />
      {["M38 16q-16 2-22 16", "M56 26q18 2 26 18", "M38 40q-14 2-18 16"].map((d) => (
        <g key={d} fill="none" strokeLinecap="round">
          <path d={d} stroke={LINE} strokeWidth={9} />
          <path d={d} stroke={ROOT} strokeWidth={6.5} />
        </g>
      ))}
      {dots(
        [
          [16, 32],
          [82, 44],
          [20, 56],
        ],
        4,
        "#d9e8b8",
      )}
    </>
  ),
  hairsAndBloom: (
    <>
      <Leaf fill="#aebfa6" />
      {grid(11, 4, 16, 22, 6.4, 8).map(([x, y]) => (
        <path key={`${x} ${y}`} d={`M${x} ${y}l2-5`} stroke={WAX} strokeWidth={1.2} />
      ))}
    </>
  ),
  dustAndCobweb: (
    <>
      <Leaf />
      <g {...pen} stroke={WAX} strokeWidth={1.1}>
        <path d="M48 30L10 4M48 30L90 6M48 30L92 56M48 30L14 60M48 30V2M48 30V62M48 30H2M48 30H94" />
        <path d="M30 18L48 12 68 18 74 30 68 44 48 50 28 44 24 30ZM38 24L48 20 58 24 62 30 58 38 48 41 38 38 34 30Z" />
      </g>
      <g {...pen}>
        <ellipse cx={66} cy={31} rx={5} ry={4} fill={LINE} />
        <path d="M61 29l-7-6M62 33l-8 4M70 28l7-6M70 34l8 5M65 27l-2-9M67 35l1 9" />
      </g>
    </>
  ),
  hardWater: (
    <>
      <Leaf />
      {[
        [26, 40, 7],
        [46, 22, 5],
        [60, 40, 9],
        [76, 26, 4],
      ].map(([x, y, r]) => (
        <g key={x}>
          <circle cx={x} cy={y} r={r} fill="none" stroke={WAX} strokeWidth={2.2} />
          <circle cx={x} cy={y} r={r! * 0.55} fill={WAX} opacity={0.45} />
        </g>
      ))}
    </>
  ),
  nectar: (
    <>
      <path d="M0 44C30 40 60 22 96 18" stroke={LINE} strokeWidth={11} fill="none" />
      <path d="M0 44C30 40 60 22 96 18" stroke={GREEN} strokeWidth={8} fill="none" />
      {[
        [30, 38],
        [56, 29],
        [80, 20],
      ].map(([x, y]) => (
        <g key={x}>
          <path d={`M${x} ${y}q-7 12 0 15q7-3 0-15Z`} fill="#f3fbff" stroke={LINE} strokeWidth={1} />
          <path d={`M${x! - 2} ${y! + 10}q0 3 2 3`} stroke="#9ec6dd" strokeWidth={1.2} fill="none" />
        </g>
      ))}
    </>
  ),
  naturalCork: (
    <>
      <Cactus />
      <path d="M12 64q-2-16 2-24q34 8 68 0q4 8 2 24Z" fill="#b08a5e" stroke={LINE} strokeWidth={1.4} />
      <path {...pen} strokeWidth={1} d="M14 50q34 7 68 0M14 57q34 7 68 0M30 45v18M48 46v18M66 45v18" />
    </>
  ),
  sporeCases: (
    <>
      <path d="M4 32C30 16 66 16 92 32C66 48 30 48 4 32Z" fill={GREEN} stroke={LINE} strokeWidth={1.6} />
      <path {...pen} stroke={DARK} d="M4 32H92" />
      {dots([...grid(8, 1, 20, 26, 8, 0), ...grid(8, 1, 20, 38, 8, 0)], 2.8, "#8a5a2b")}
    </>
  ),
  springtails: (
    <>
      <Mix />
      {[
        [22, 34, 0],
        [46, 26, -12],
        [70, 35, 4],
      ].map(([x, y, turn]) => (
        <g key={x} transform={`translate(${x} ${y}) rotate(${turn})`}>
          <path d="M-8 0q8-6 16 0q-8 5-16 0Z" fill={WAX} stroke={LINE} strokeWidth={1.2} />
          <path {...pen} strokeWidth={1} d="M-8 0l-7-4M-8 1l-7 2M-3 2l-1 5M2 2l1 5M7 1q4 6-4 6" />
        </g>
      ))}
      <path {...pen} strokeDasharray="3 4" strokeWidth={1} d="M26 28q10-22 20-4" />
    </>
  ),
  deadShells: (
    <>
      <Leaf />
      {[
        [28, 36],
        [48, 28],
        [66, 40],
      ].map(([x, y]) => (
        <g key={x}>
          <ellipse cx={x} cy={y} rx={8} ry={5.5} fill="#b59c7a" stroke={LINE} strokeWidth={1.4} />
          <path {...pen} strokeWidth={1} d={`M${x! - 5} ${y! - 1}q5-4 10 0M${x! - 2} ${y! + 3}l2-5`} />
        </g>
      ))}
      <path d="M70 16q10-8 16 0q-6 6-16 0Z" fill="none" stroke={LINE} strokeWidth={1.4} strokeDasharray="3 2" />
    </>
  ),
  woollyAreoles: (
    <>
      <Cactus />
      {grid(3, 3, 32, 20, 16, 15).map(([x, y]) => (
        <g key={`${x} ${y}`}>
          <path {...pen} strokeWidth={1} d={`M${x} ${y}l-6-6M${x} ${y}l6-6M${x} ${y}v-9`} />
          <Tuft x={x} y={y} />
        </g>
      ))}
    </>
  ),
  farina: (
    <>
      <Leaf fill="#cfd9cf" />
      {grid(16, 6, 14, 18, 4.6, 6).map(([x, y]) => (
        <circle key={`${x} ${y}`} cx={x + (y % 4)} cy={y} r={0.9} fill={WAX} />
      ))}
      <path d="M46 20q14 4 20 24" stroke={GREEN} strokeWidth={7} fill="none" strokeLinecap="round" />
    </>
  ),
  oedema: (
    <>
      <Leaf />
      {dots(
        [
          [24, 40],
          [34, 30],
          [40, 46],
          [52, 34],
          [60, 46],
          [68, 30],
          [76, 38],
        ],
        3.6,
        "#b9925f",
      )}
    </>
  ),
  sunburn: (
    <>
      <Leaf />
      <path
        d="M36 12C56 4 80 10 92 26C80 34 62 34 50 30C42 26 36 20 36 12Z"
        fill="#e8dcb4"
        stroke="#a98f57"
        strokeWidth={1.4}
      />
      <g {...pen} stroke="#c98a1b">
        <circle cx={84} cy={8} r={5} fill="#f3c14b" />
        <path d="M72 6l4 1M78 18l2-4M92 18l-3-3" />
      </g>
    </>
  ),
  ribNectar: (
    <>
      <Cactus />
      {grid(3, 3, 32, 20, 16, 15).map(([x, y]) => (
        <g key={`${x} ${y}`}>
          <path {...pen} strokeWidth={1} d={`M${x} ${y}l-6-5M${x} ${y}l6-5`} />
          <path d={`M${x} ${y}q-4 7 0 9q4-2 0-9Z`} fill="#f3fbff" stroke={LINE} strokeWidth={0.9} />
          <circle cx={x} cy={y + 11} r={3} fill="#2c2723" opacity={0.55} />
        </g>
      ))}
    </>
  ),
  soilMites: (
    <>
      <Mix />
      {[
        [20, 46],
        [38, 38],
        [56, 50],
        [74, 42],
      ].map(([x, y]) => (
        <g key={x}>
          <path
            {...pen}
            strokeWidth={1}
            d={`M${x! - 5} ${y}l-4-2M${x! - 5} ${y! + 3}l-4 2M${x! + 5} ${y}l4-2M${x! + 5} ${y! + 3}l4 2`}
          />
          <ellipse cx={x} cy={y} rx={6} ry={5} fill="#9a5f2e" stroke={LINE} strokeWidth={1.2} />
          <path d={`M${x! - 2} ${y! - 2}q2-2 4 0`} stroke="#d9a877" strokeWidth={1.2} fill="none" />
        </g>
      ))}
    </>
  ),
  predatoryMites: (
    <>
      <Leaf />
      {[
        [36, 36, -20],
        [62, 30, 15],
      ].map(([x, y, turn]) => (
        <g key={x} transform={`translate(${x} ${y}) rotate(${turn})`}>
          <path
            {...pen}
            strokeWidth={1.2}
            d="M-6-4l-8-9M-2-5l-4-11M3-5l3-11M7-4l8-8M-6 4l-8 9M-2 5l-4 11M3 5l3 11M7 4l8 8"
          />
          <path d="M-11 0q2-7 11-7q11 1 11 7q0 6-11 7q-9 0-11-7Z" fill="#e7a06a" stroke={LINE} strokeWidth={1.3} />
        </g>
      ))}
      <path {...pen} strokeDasharray="3 4" strokeWidth={1} d="M44 34q6-6 10-3" />
    </>
  ),
  wetOrDry: (
    <>
      <path d="M30 64V40h36v24Z" fill="#b5714d" stroke={LINE} strokeWidth={1.6} />
      <path {...pen} d="M48 40C48 22 40 16 28 16M48 40C50 24 60 18 72 22" />
      <path d="M28 16C18 14 10 22 8 34C18 34 28 26 28 16Z" fill="#d8c860" stroke={LINE} strokeWidth={1.4} />
      <path d="M72 22C82 22 88 30 88 42C78 42 70 34 72 22Z" fill="#d8c860" stroke={LINE} strokeWidth={1.4} />
    </>
  ),
};

/** What is mistaken for an animal, drawn; its words stand beside it. */
export function LookAlike({ id, width = 96 }: { id: LookAlikeId; width?: number }) {
  return (
    <svg
      className="animal look-alike"
      viewBox="0 0 96 64"
      width={width}
      height={(width * 64) / 96}
      aria-hidden="true"
      focusable="false"
    >
      {drawings[id]}
    </svg>
  );
}

/** What it may be instead: each drawn, with what tells it from the animal. */
export function LookAlikes({ ids }: { ids: readonly LookAlikeId[] }) {
  return (
    <ul className="animal-stages">
      {ids.map((id) => (
        <li key={id} className="look-alike-line">
          <LookAlike id={id} />
          <span>
            <strong>{lookAlikeNames[id].name}:</strong> {lookAlikeNames[id].tell}
          </span>
        </li>
      ))}
    </ul>
  );
}
