"use client";

import { useEffect, useState } from "react";
import Button from "react-bootstrap/Button";
import { cautionsOfMix } from "@/core/knowledge/mixes/mixCautions";
import type { MixId } from "@/core/knowledge/mixes/mixes";
import { momentInWords } from "@/wording/dates";
import { labelCautions } from "@/wording/advice/cautions";
import { mixNames } from "@/wording/names/names";

/** Ordinary sheets of labels: across, down, and how large one is, mm. */
const sheets = {
  a4: { name: "A4, 3 by 7", paper: "A4", across: 3, down: 7, width: 63.5, height: 38.1 },
  letter: { name: "Letter, 2 by 5", paper: "letter", across: 2, down: 5, width: 101.6, height: 50.8 },
  one: { name: "One large label", paper: "auto", across: 1, down: 1, width: 150, height: 100 },
} as const;
type SheetId = keyof typeof sheets;

interface Props {
  mix: MixId;
  totalMl: number;
  /** Wall times. */
  made: string;
  uselessAfter: string | null;
}

/** Labels to stick on a spray bottle: what, how strong, made when, useless after, what to mind, and a picture that opens the mix. */
export function Labels({ mix, totalMl, made, uselessAfter }: Props) {
  const [sheet, setSheet] = useState<SheetId>("a4");
  const [picture, setPicture] = useState("");
  useEffect(() => {
    let gone = false;
    const link = `${location.origin}/mixing?mix=${mix}&ml=${totalMl}`;
    void import("qrcode")
      .then(({ toDataURL }) => toDataURL(link, { margin: 1, scale: 4 }))
      .then((drawn) => !gone && setPicture(drawn));
    return () => {
      gone = true;
    };
  }, [mix, totalMl]);
  const { paper, across, down, width, height } = sheets[sheet];
  const cautions = cautionsOfMix(mix).flatMap((id) => labelCautions[id] ?? []);
  const size = { width: `${width}mm`, height: `${height}mm` };
  return (
    <div className="sheet">
      <style>{`@page { size: ${paper}; margin: 8mm; }`}</style>
      <h1 className="no-print">Labels: {mixNames[mix]}</h1>
      <div className="no-print d-flex flex-wrap gap-2 mb-3">
        <Button onClick={() => print()}>Print</Button>
        {(Object.keys(sheets) as SheetId[]).map((id) => (
          <Button
            key={id}
            variant="outline-primary"
            aria-pressed={id === sheet}
            active={id === sheet}
            onClick={() => setSheet(id)}
          >
            {sheets[id].name}
          </Button>
        ))}
      </div>
      <div
        className="bottle-labels"
        tabIndex={0}
        role="region"
        aria-label="Sheet of labels"
        style={{ gridTemplateColumns: `repeat(${across}, ${width}mm)` }}
      >
        {Array.from({ length: across * down }, (_, i) => (
          <div key={i} className="bottle-label" style={size} aria-hidden={i > 0}>
            {/* eslint-disable-next-line @next/next/no-img-element -- a picture made in this browser */}
            {picture && <img src={picture} alt="Scan to open this mix" />}
            <strong>{mixNames[mix]}</strong>
            <div>Made {momentInWords(made)}</div>
            <div>{uselessAfter ? `Do not use after ${momentInWords(uselessAfter)}` : "Keeps if closed and cool"}</div>
            <div>{cautions.join(" ")}</div>
          </div>
        ))}
      </div>
    </div>
  );
}
