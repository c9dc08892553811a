"use client";

import { useState } from "react";
import Button from "react-bootstrap/Button";
import { PAPER_MINUTES, usualPapers, type CardSize } from "@/core/model/inspection/cardSpots";
import { movedInWords, notReadSentences, type NotRead } from "@/wording/advice/seasons/cards";
import { CountedCard } from "./CountedCard";
import { marksOf, totalOf, type Mark } from "./marks";
import { PhotoPress } from "./PhotoPress";
import { SizeOfCard } from "./SizeOfCard";
import { useCardReader, whyNotRead } from "./useCardReader";

interface Counted {
  readonly url: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly marks: readonly Mark[];
}

/**
 * Tells mites from grit on a white paper: two photos of it some minutes apart, what moved between them is ringed. `onCount` takes the
 * number once the keeper agrees.
 */
export function PaperCounter({ onCount }: { onCount: (moved: number) => void }) {
  const ask = useCardReader();
  const [size, setSize] = useState<CardSize>(usualPapers[0]!);
  const [first, setFirst] = useState<Blob | null>(null);
  const [counted, setCounted] = useState<Counted | null>(null);
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<NotRead | null>(null);
  const again = () => {
    setFirst(null);
    setCounted(null);
    setWrong(null);
  };
  const compare = async (second: Blob) => {
    if (!first) return;
    setBusy(true);
    setWrong(null);
    try {
      const read = await ask((reader) => reader.moved(first, second, size));
      if (!read) return setWrong("no_paper");
      const { picture, spots, ...sides } = read;
      setCounted({ url: URL.createObjectURL(picture), ...sides, marks: marksOf(spots) });
    } catch (error) {
      setWrong(whyNotRead(error));
    } finally {
      setBusy(false);
    }
  };
  const moved = counted ? totalOf(counted.marks, "fly") : 0;
  return (
    <details className="card-counter mb-3">
      <summary className="btn btn-outline-primary">Find what moves on two photos</summary>
      <p className="mt-2 mb-2">
        Tap the leaf over white paper, lay the paper on a dark surface and photograph it whole. Take the second photo
        after {PAPER_MINUTES} minutes, without touching the paper. What moved is ringed; what sat still is not. It was
        tried on drawn papers only: check the rings.
      </p>
      {!first && (
        <SizeOfCard label="Size of the paper" usual={usualPapers} size={size} disabled={false} onSize={setSize} />
      )}
      {counted && (
        <section aria-label="The paper" className="mb-2">
          <p className="mb-1" role="status">
            <strong className="fs-4">{movedInWords(moved)}</strong>
          </p>
          <p className="small mb-1">Press a ring to remove it. Press the paper where one was missed.</p>
          <CountedCard {...counted} what="speck" onMarks={(marks) => setCounted({ ...counted, marks })} />
        </section>
      )}
      {wrong && (
        <p className="text-danger-emphasis fw-semibold" role="alert">
          {notReadSentences[wrong]}
        </p>
      )}
      {!counted && (
        <PhotoPress
          label={busy ? "Comparing …" : first ? "Second photo" : "First photo"}
          disabled={busy}
          onPhoto={(photo) => (first ? void compare(photo) : setFirst(photo))}
        />
      )}
      {first && (
        <div className="d-flex flex-wrap gap-2 mt-2">
          {counted && moved > 0 && (
            <Button size="sm" onClick={() => onCount(moved)}>
              Record {moved} as found
            </Button>
          )}
          <Button size="sm" variant="outline-primary" onClick={again}>
            Start over
          </Button>
        </div>
      )}
    </details>
  );
}
