"use client";

import { useState } from "react";
import { ringName } from "@/wording/advice/seasons/cards";
import { pressAt, pressMark, type Mark } from "./marks";

/** Of a ring, mm: a fly with its wings lies within. */
const RING_MM = 2.6;
/** A card is never drawn higher than this share of the screen's height, %. */
const HIGHEST = 78;

/** A card as if seen from above, every animal ringed. Rings are pressed away and back; a press beside them adds one. */
export function CountedCard({
  url,
  widthMm,
  heightMm,
  marks,
  what,
  onMarks,
}: {
  url: string;
  widthMm: number;
  heightMm: number;
  marks: readonly Mark[];
  /** What is ringed. */
  what: "fly" | "speck";
  onMarks: (marks: readonly Mark[]) => void;
}) {
  const press = (event: React.MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const at = (px: number, of: number, mm: number) => (px / of) * mm;
    const x = at(event.clientX - box.left, box.width, widthMm);
    const y = at(event.clientY - box.top, box.height, heightMm);
    onMarks(pressAt(marks, x, y));
  };
  return (
    <svg
      className="counted-card"
      viewBox={`0 0 ${widthMm} ${heightMm}`}
      style={{ maxWidth: `calc(${HIGHEST}vh * ${widthMm / heightMm})`, aspectRatio: `${widthMm} / ${heightMm}` }}
      role="group"
      aria-label={what === "fly" ? "The card, each fly ringed" : "The paper, what moved ringed"}
      onClick={press}
    >
      <image href={url} width={widthMm} height={heightMm} preserveAspectRatio="none" />
      {marks
        .filter(({ kind, off }) => kind === "thrips" && !off)
        .map(({ id, xMm, yMm }) => (
          <circle key={id} className="ring-thrips" cx={xMm} cy={yMm} r={RING_MM * 0.7} aria-hidden />
        ))}
      {marks
        .filter(({ kind }) => kind === "fly")
        .map((mark, i) => (
          <Ring
            key={mark.id}
            mark={mark}
            label={ringName(what, mark.many, i + 1)}
            onPress={() => onMarks(pressMark(marks, mark.id))}
          />
        ))}
    </svg>
  );
}

function Ring({ mark, label, onPress }: { mark: Mark; label: string; onPress: () => void }) {
  const { xMm, yMm, many, off } = mark;
  return (
    <g
      role="checkbox"
      aria-checked={!off}
      aria-label={label}
      tabIndex={0}
      className={off ? "ring ring-off" : "ring"}
      onKeyDown={(event) => {
        if (event.key !== " " && event.key !== "Enter") return;
        event.preventDefault();
        onPress();
      }}
    >
      <circle cx={xMm} cy={yMm} r={RING_MM} />
      {many > 1 && !off && (
        <text x={xMm + RING_MM} y={yMm - RING_MM} fontSize={4}>
          {many}
        </text>
      )}
    </g>
  );
}

/** The photo as it was taken: the four corners of the card are pressed on it, one after the other. */
export function CornersPicker({
  url,
  onPicked,
}: {
  url: string;
  onPicked: (corners: readonly { readonly x: number; readonly y: number }[]) => void;
}) {
  const [corners, setCorners] = useState<readonly { readonly x: number; readonly y: number }[]>([]);
  return (
    <div className="corners">
      {/* A photo that is in this browser only. */}
      {/* eslint-disable-next-line @next/next/no-img-element */}
      <img
        src={url}
        alt="Your photo: press the four corners of the card on it"
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          const x = (event.clientX - box.left) / box.width;
          const y = (event.clientY - box.top) / box.height;
          const all = [...corners, { x, y }];
          setCorners(all);
          if (all.length === 4) onPicked(all);
        }}
      />
      {corners.map(({ x, y }) => (
        <span key={`${x} ${y}`} style={{ left: `${x * 100}%`, top: `${y * 100}%` }} aria-hidden />
      ))}
    </div>
  );
}
