import type { ReactNode } from "react";
import type { PestId } from "@/core/knowledge/pests/pests";

/**
 * Each animal as it is seen from above (gnats from the side), its head to the left. The body is 100 units long, from 0 to 100, and its middle
 * stands at 0 across; what reaches beyond the body (legs, threads, wings) goes beyond. Our own drawings.
 */
const WAX = "var(--animal-wax)";
const LINE = "var(--animal-line)";
const pen = { fill: "none", stroke: LINE, strokeWidth: 2, strokeLinecap: "round" } as const;
const fine = { ...pen, strokeWidth: 1.2 } as const;
const body = (fill: string) => ({ fill, stroke: LINE, strokeWidth: 2 });

const both = (each: (side: 1 | -1) => ReactNode) => (
  <>
    {each(1)}
    {each(-1)}
  </>
);

/** Legs at places along the body, each bent once, on both sides; those in front reach forward, those behind back. */
function Legs({ at, from, to }: { at: readonly number[]; from: number; to: number }) {
  const reach = (x: number) => (x < 50 ? -12 : 12);
  return both((side) => (
    <path
      key={side}
      {...pen}
      d={at
        .map(
          (x) => `M${x} ${side * from}q${reach(x) / 3} ${side * (to - from) * 0.7} ${reach(x)} ${side * (to - from)}`,
        )
        .join("")}
    />
  ));
}

const Antennae = ({ length = 22, spread = 14, x = 4 }: { length?: number; spread?: number; x?: number }) =>
  both((side) => (
    <path key={side} {...fine} d={`M${x} ${side * 4}q${-length / 2} ${side * 2} ${-length} ${side * spread}`} />
  ));

/** Threads of wax round a body, longer at its end. */
function Threads({ length, tail }: { length: number; tail: number }) {
  const at = Array.from({ length: 15 }, (_, i) => (i + 1) / 16);
  return both((side) => (
    <g key={side} fill="none" stroke={WAX} strokeWidth={3} strokeLinecap="round">
      {at.map((share) => {
        const angle = Math.PI * share;
        const [x, y] = [50 - 49 * Math.cos(angle), side * 27 * Math.sin(angle)];
        const long = share > 0.9 ? tail : length;
        return <path key={share} d={`M${x} ${y}l${-Math.cos(angle) * long} ${side * Math.sin(angle) * long}`} />;
      })}
    </g>
  ));
}

const segments = (from: number, to: number, step: number, half: (x: number) => number) =>
  Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => from + i * step)
    .map((x) => `M${x} ${-half(x)}q4 ${half(x)} 0 ${2 * half(x)}`)
    .join("");
const ofOval = (height: number) => (x: number) => height * Math.sqrt(Math.max(0, 1 - ((x - 50) / 50) ** 2));

const Egg = ({ fill = "#f6e7a8", rx = 50, ry = 50 }: { fill?: string; rx?: number; ry?: number }) => (
  <ellipse cx={50} cy={0} rx={rx} ry={ry} {...body(fill)} />
);

/** Young ones that walk: six legs, flat, without any cover. */
const Crawler = ({ fill }: { fill: string }) => (
  <>
    <Legs at={[26, 42, 60]} from={22} to={46} />
    <Antennae length={20} />
    <ellipse cx={50} cy={0} rx={50} ry={28} {...body(fill)} />
    <path {...fine} d={segments(45, 85, 10, ofOval(24))} />
    <circle cx={9} cy={-8} r={2.5} fill={LINE} />
    <circle cx={9} cy={8} r={2.5} fill={LINE} />
  </>
);

const Mite = ({ fill, spots, legs }: { fill: string; spots: number; legs: readonly number[] }) => (
  <>
    <Legs at={legs} from={22} to={52} />
    <ellipse cx={52} cy={0} rx={48} ry={32} {...body(fill)} />
    {both((side) => (
      <g key={side}>
        <ellipse cx={46} cy={side * 15} rx={spots * 1.5} ry={spots} fill="#3a3416" opacity={0.8} />
        <circle cx={22} cy={side * 11} r={3} fill="#b3261e" />
        <path
          {...fine}
          d={`M60 ${side * 28}l6 ${side * 9}M76 ${side * 24}l7 ${side * 8}M90 ${side * 14}l9 ${side * 5}`}
        />
      </g>
    ))}
    <path {...pen} d="M6 -6l-8 -4M6 6l-8 4" />
  </>
);

const Thrips = ({ fill, wings }: { fill: string; wings: "none" | "pads" | "fringed" }) => (
  <>
    <Legs at={[22, 32, 42]} from={7} to={20} />
    <Antennae length={wings === "pads" ? -14 : 20} spread={wings === "pads" ? 4 : 9} />
    <path
      {...body(fill)}
      d="M2 0C4 -7 12 -8 18 -7C24 -10 36 -11 44 -9C62 -12 84 -9 100 0C84 9 62 12 44 9C36 11 24 10 18 7C12 8 4 7 2 0Z"
    />
    <path {...fine} d={segments(50, 90, 8, (x) => 10 * (1 - (x - 50) / 55))} />
    {wings === "pads" &&
      both((side) => <path key={side} {...body(fill)} d={`M34 ${side * 8}L60 ${side * 13}L58 ${side * 7}Z`} />)}
    {wings === "fringed" &&
      both((side) => (
        <g key={side}>
          <path
            {...body("#f3efe0")}
            fillOpacity={0.7}
            d={`M32 ${side * 6}Q62 ${side * 16} 92 ${side * 10}Q62 ${side * 9} 32 ${side * 6}Z`}
          />
          <path
            {...fine}
            strokeWidth={0.8}
            d={Array.from({ length: 10 }, (_, i) => `M${48 + i * 5} ${side * 13}l5 ${side * 9}`).join("")}
          />
        </g>
      ))}
    <circle cx={7} cy={-4} r={2} fill={LINE} />
    <circle cx={7} cy={4} r={2} fill={LINE} />
  </>
);

const Mealybug = ({ threads, tail, wax }: { threads: number; tail: number; wax: number }) => (
  <>
    {threads > 0 && <Threads length={threads} tail={tail} />}
    <ellipse cx={50} cy={0} rx={50} ry={28} {...body("#e8b7a6")} />
    <ellipse cx={50} cy={0} rx={49} ry={27} fill={WAX} opacity={wax} />
    <path {...fine} d={segments(18, 90, 9, ofOval(25))} />
    {threads === 0 && <Legs at={[26, 38, 50]} from={24} to={38} />}
  </>
);

/** Wool with eggs in it. */
const Sac = ({ fill }: { fill: string }) => (
  <>
    <path
      fill={WAX}
      stroke={LINE}
      strokeWidth={1}
      d="M4 4C-4 -14 12 -30 28 -26C38 -38 62 -36 70 -28C88 -32 104 -12 97 4C104 20 86 32 72 27C60 38 38 36 29 28C12 32 -2 20 4 4Z"
    />
    {[
      [28, -8],
      [42, 6],
      [54, -12],
      [66, 4],
      [52, 16],
      [36, 18],
      [74, -10],
    ].map(([x, y]) => (
      <ellipse key={`${x} ${y}`} cx={x} cy={y} rx={7} ry={4.5} fill={fill} stroke={LINE} strokeWidth={1} />
    ))}
  </>
);

const Root = () => (
  <path d="M-14 36C20 22 60 48 118 30" fill="none" stroke="var(--animal-root)" strokeWidth={9} strokeLinecap="round" />
);

const Dome = ({ fill, ridged }: { fill: string; ridged: boolean }) => (
  <>
    <ellipse cx={50} cy={0} rx={50} ry={36} {...body(fill)} />
    <path d="M8 0Q50 -6 92 0" {...fine} />
    {ridged && <path {...fine} d="M34 -30Q42 0 34 30M66 -30Q58 0 66 30" />}
    <path
      d="M22 -16Q40 -28 66 -24"
      fill="none"
      stroke="#fff"
      strokeOpacity={0.55}
      strokeWidth={4}
      strokeLinecap="round"
    />
  </>
);

/** A shell that is not grown to the animal, with the skins it grew out of on top. */
const Shell = ({ lifted = false, rings }: { lifted?: boolean; rings: number }) => (
  <>
    {lifted && (
      <>
        <ellipse cx={62} cy={10} rx={30} ry={24} {...body("#f2d36b")} />
        {[-6, 4, 14].map((y) => (
          <ellipse key={y} cx={80} cy={y + 6} rx={7} ry={4} {...body("#fbeeb8")} />
        ))}
      </>
    )}
    <g transform={lifted ? "rotate(-14 10 0) translate(-14 -12)" : undefined}>
      <path {...body("#b9a184")} d="M0 0C4 -26 34 -40 60 -36C88 -32 102 -14 100 4C98 26 74 40 48 36C22 34 2 20 0 0Z" />
      {Array.from({ length: rings }, (_, i) => (
        <ellipse key={i} cx={34 + i * 8} cy={0} rx={14 + i * 10} ry={11 + i * 9} {...fine} />
      ))}
      <ellipse cx={30} cy={0} rx={9} ry={7} {...body("#8b5e34")} />
    </g>
  </>
);

const Gnat = ({ fill }: { fill: string }) => (
  <>
    <path {...pen} d="M30 12L14 44M36 14L40 48M42 12L66 50M14 44l-8 4M40 48l8 6M66 50l10 4" />
    <path {...body("#dfe4ea")} fillOpacity={0.75} d="M34 -6C50 -34 96 -38 112 -26C104 -10 70 2 36 -2Z" />
    <path {...fine} d="M38 -6Q72 -22 108 -26M58 -14Q78 -10 94 -14M74 -18l16 -12M74 -18l24 -2" />
    <path {...body(fill)} d="M38 4C52 -4 82 -2 100 12C84 18 56 18 40 12Z" />
    <path {...fine} d="M54 2l2 14M66 1l2 15M78 4l1 13" />
    <ellipse cx={30} cy={2} rx={13} ry={12} {...body(fill)} />
    <circle cx={14} cy={6} r={8} {...body("#2a2326")} />
    <path {...fine} d="M9 1Q-6 -10 -20 -8M10 3Q-8 -2 -22 4" />
  </>
);

const Aphid = ({ fill, wings }: { fill: string; wings: boolean }) => (
  <>
    <Legs at={[24, 38, 52]} from={16} to={46} />
    <Antennae length={34} spread={30} x={8} />
    {wings &&
      both((side) => (
        <path
          key={side}
          {...body("#e8eef2")}
          fillOpacity={0.7}
          d={`M32 ${side * 8}C56 ${side * 40} 104 ${side * 44} 122 ${side * 28}C98 ${side * 16} 60 ${side * 8} 36 ${side * 4}Z`}
        />
      ))}
    <path
      {...body(fill)}
      d="M2 0C4 -10 16 -14 26 -14C44 -30 76 -32 92 -16C98 -8 100 -4 104 0C100 4 98 8 92 16C76 32 44 30 26 14C16 14 4 10 2 0Z"
    />
    {both((side) => (
      <path key={side} {...pen} strokeWidth={4} d={`M80 ${side * 19}l16 ${side * 9}`} />
    ))}
    <path {...pen} strokeWidth={4} d="M102 0h8" />
    <circle cx={10} cy={-8} r={3} fill="#7c1d12" />
    <circle cx={10} cy={8} r={3} fill="#7c1d12" />
  </>
);

/** The drawing of every stage of every pest. */
export const animals: Readonly<Record<PestId, Readonly<Record<string, ReactNode>>>> = {
  spiderMite: {
    egg: <Egg fill="#f3ecd2" />,
    immature: <Mite fill="#e9e3a6" spots={5} legs={[26, 40, 62]} />,
    youngAdult: <Mite fill="#d9d68a" spots={8} legs={[22, 34, 58, 72]} />,
    adult: <Mite fill="#c9c46a" spots={11} legs={[22, 34, 58, 72]} />,
  },
  thrips: {
    egg: <Egg rx={50} ry={28} fill="#f4f1df" />,
    larva: <Thrips fill="#f3e08c" wings="none" />,
    pupa: <Thrips fill="#f1e8c2" wings="pads" />,
    youngAdult: <Thrips fill="#d9b25e" wings="fringed" />,
    adult: <Thrips fill="#7a4a26" wings="fringed" />,
  },
  mealybug: {
    egg: <Sac fill="#f2c46b" />,
    crawler: <Crawler fill="#f0c39a" />,
    nymph: <Mealybug threads={6} tail={9} wax={0.55} />,
    youngAdult: <Mealybug threads={9} tail={18} wax={0.75} />,
    adult: <Mealybug threads={11} tail={34} wax={0.85} />,
  },
  rootMealybug: {
    egg: (
      <>
        <Root />
        <Sac fill="#f4e6b0" />
      </>
    ),
    crawler: <Crawler fill="#f3ead8" />,
    nymph: (
      <>
        <Root />
        <Mealybug threads={0} tail={0} wax={0.6} />
      </>
    ),
    youngAdult: (
      <>
        <Root />
        <Mealybug threads={0} tail={0} wax={0.8} />
      </>
    ),
    adult: (
      <>
        <Root />
        <Mealybug threads={3} tail={6} wax={0.9} />
      </>
    ),
  },
  softScale: {
    crawler: <Crawler fill="#efc98d" />,
    nymph: <Dome fill="#e7d39a" ridged={false} />,
    youngAdult: <Dome fill="#b9854a" ridged />,
    adult: <Dome fill="#7d4f2c" ridged />,
  },
  armouredScale: {
    egg: <Shell rings={2} lifted />,
    crawler: <Crawler fill="#f4df8e" />,
    nymph: <Shell rings={1} />,
    youngAdult: <Shell rings={2} />,
    adult: <Shell rings={3} />,
  },
  fungusGnat: {
    egg: <Egg rx={50} ry={26} fill="#f7f3e4" />,
    larva: (
      <>
        <path d="M12 0C30 -16 60 14 98 -2" fill="none" stroke={LINE} strokeWidth={13} strokeLinecap="round" />
        <path d="M12 0C30 -16 60 14 98 -2" fill="none" stroke="#eef0ee" strokeWidth={9.5} strokeLinecap="round" />
        <path d="M34 -4C52 2 62 6 80 3" fill="none" stroke="#6f6a55" strokeWidth={2} opacity={0.7} />
        <ellipse cx={5} cy={1} rx={6} ry={5} fill="#17110f" />
      </>
    ),
    pupa: (
      <>
        <path {...body("#e7d9b0")} d="M0 0C6 -22 34 -20 50 -14C72 -12 92 -6 100 0C90 8 70 14 48 14C30 22 6 20 0 0Z" />
        <path {...body("#cdb98a")} d="M24 4C40 2 54 6 60 14C46 18 32 16 24 4Z" />
        <path {...fine} d={segments(60, 90, 10, (x) => 12 * (1 - (x - 50) / 55))} />
        <circle cx={8} cy={-4} r={4} fill="#4a3a2a" />
      </>
    ),
    youngAdult: <Gnat fill="#6c6468" />,
    adult: <Gnat fill="#2f282b" />,
  },
  aphid: {
    nymph: <Aphid fill="#cfe08a" wings={false} />,
    youngAdult: <Aphid fill="#8fae4e" wings />,
    adult: (
      <>
        <Aphid fill="#a3c25a" wings={false} />
        <g transform="translate(104 34) scale(0.3)">
          <Aphid fill="#cfe08a" wings={false} />
        </g>
      </>
    ),
  },
};
