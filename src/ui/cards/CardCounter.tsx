"use client";

import { useEffect, useRef, useState } from "react";
import Button from "react-bootstrap/Button";
import { fitsSize, usualCards, type CardSize } from "@/core/model/inspection/cardSpots";
import { notReadSentences, thripsSentence, type NotRead } from "@/wording/advice/seasons/cards";
import { fliesInWords } from "@/wording/advice/seasons/seasons";
import { cardSizeInWords } from "@/wording/units";
import { useUnits } from "../shell/Collection";
import { SizeOfCard } from "./SizeOfCard";
import { CornersPicker, CountedCard } from "./CountedCard";
import { PhotoPress } from "./PhotoPress";
import { useCardReader, whyNotRead } from "./useCardReader";
import { marksOf, totalOf, type Mark } from "./marks";

/** A card that was photographed and read. */
interface Card {
  readonly photo: Blob;
  readonly photoUrl: string;
  readonly picture: Blob;
  readonly url: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly marks: readonly Mark[];
  readonly corners: readonly { readonly x: number; readonly y: number }[];
  /** Its shorter side ÷ its longer one on the photo. */
  readonly sides: number;
}

type Corners = Card["corners"];

/** What stands in place of a card while there is none, or where it could not be read. */
type Said =
  | { readonly what: "nothing" | "reading" }
  | { readonly what: "wrong"; readonly why: NotRead }
  | { readonly what: "corners"; readonly photo: Blob; readonly photoUrl: string; readonly asked: boolean };

export interface CountedPhoto {
  readonly picture: Blob;
  readonly flies: number;
}

function forget({ url, photoUrl }: Card): void {
  URL.revokeObjectURL(url);
  URL.revokeObjectURL(photoUrl);
}

/** Counts the flies on photos of sticky cards. `onCount` hears the pictures and what is ringed on each, at every change. */
export function CardCounter({ onCount }: { onCount: (cards: readonly CountedPhoto[]) => void }) {
  const units = useUnits();
  const ask = useCardReader();
  const [size, setSize] = useState<CardSize>(usualCards[0]!);
  const [cards, setCards] = useState<readonly Card[]>([]);
  const [said, setSaid] = useState<Said>({ what: "nothing" });

  // Rings may be pressed while the next photo is being read: what is added then is added to the cards as they are by then.
  const latest = useRef<readonly Card[]>([]);
  useEffect(() => () => latest.current.forEach(forget), []);
  const keep = (all: readonly Card[]) => {
    for (const one of latest.current) if (!all.some(({ url }) => url === one.url)) URL.revokeObjectURL(one.url);
    latest.current = all;
    setCards(all);
    onCount(all.map(({ picture, marks }) => ({ picture, flies: totalOf(marks, "fly") })));
  };
  const cardFrom = async (
    photo: Blob,
    photoUrl: string,
    corners: Corners | null,
    of: CardSize,
  ): Promise<Card | null> => {
    const read = await ask((reader) => reader.read(photo, of, corners));
    if (!read) return null;
    const { spots, ...card } = read;
    return { photo, photoUrl, url: URL.createObjectURL(card.picture), marks: marksOf(spots), ...card };
  };
  const reading = async (work: () => Promise<Said>) => {
    setSaid({ what: "reading" });
    try {
      setSaid(await work());
    } catch (error) {
      setSaid({ what: "wrong", why: whyNotRead(error) });
    }
  };
  const read = (photo: Blob, photoUrl: string, corners: Corners | null) =>
    reading(async () => {
      const card = await cardFrom(photo, photoUrl, corners, size);
      if (!card) return { what: "corners", photo, photoUrl, asked: false };
      const there = latest.current;
      const at = there.findIndex((one) => one.photoUrl === photoUrl);
      keep(at < 0 ? [...there, card] : there.with(at, card));
      return { what: "nothing" };
    });
  /** All cards of a count are of one size: what was read at another is read again. */
  const choose = (of: CardSize) => {
    setSize(of);
    if (cards.length === 0) return;
    void reading(async () => {
      const again: Card[] = [];
      for (const { photo, photoUrl, corners } of cards) again.push((await cardFrom(photo, photoUrl, corners, of))!);
      // What was removed meanwhile stays removed.
      keep(again.filter(({ photoUrl }) => latest.current.some((one) => one.photoUrl === photoUrl)));
      return { what: "nothing" };
    });
  };
  const drop = (card: Card) => {
    URL.revokeObjectURL(card.photoUrl);
    keep(cards.filter((one) => one !== card));
  };

  return (
    <details className="card-counter mb-3">
      <summary className="btn btn-outline-primary">Count on a photo</summary>
      <p className="mt-2 mb-2">
        Lay the card on a plain surface of another colour and photograph it whole, from straight above, without shadow
        of your hand. It was tried on drawn cards only: check the rings.
      </p>
      <SizeOfCard
        label="Size of the card"
        usual={usualCards}
        size={size}
        disabled={said.what === "reading"}
        onSize={choose}
      />
      {cards.map((card, i) => (
        <section key={card.photoUrl} className="mb-3" aria-label={`Card ${i + 1}`}>
          <p className="mb-1" role="status">
            <strong className="fs-4">{fliesInWords(totalOf(card.marks, "fly"))}</strong> on card {i + 1}.{" "}
            {thripsSentence(totalOf(card.marks, "thrips"))}
          </p>
          {!fitsSize(card.sides, size) && (
            <p className="text-danger-emphasis fw-semibold mb-1" role="alert">
              On the photo it is not shaped like {cardSizeInWords(size, units)}. Check the size above, or its edges.
            </p>
          )}
          <p className="small mb-1">Press a ring to remove it if it is dirt. Press the card where a fly was missed.</p>
          <CountedCard
            {...card}
            what="fly"
            onMarks={(marks) => keep(cards.map((one) => (one === card ? { ...card, marks } : one)))}
          />
          <div className="d-flex flex-wrap gap-2 mt-1">
            <Button
              size="sm"
              variant="outline-primary"
              onClick={() => setSaid({ what: "corners", photo: card.photo, photoUrl: card.photoUrl, asked: true })}
            >
              The edges are wrong
            </Button>
            <Button size="sm" variant="outline-primary" onClick={() => drop(card)}>
              Remove this card
            </Button>
          </div>
        </section>
      ))}
      {said.what === "corners" && (
        <>
          <p className="mb-1 fw-semibold" role="status">
            {said.asked ? "" : "No card stands out on this photo. "}Press the four corners of the card.
          </p>
          <CornersPicker url={said.photoUrl} onPicked={(corners) => void read(said.photo, said.photoUrl, corners)} />
        </>
      )}
      {said.what === "wrong" && (
        <p className="text-danger-emphasis fw-semibold" role="alert">
          {notReadSentences[said.why]}
        </p>
      )}
      <PhotoPress
        label={said.what === "reading" ? "Reading the card …" : cards.length === 0 ? "Photo of the card" : "Next card"}
        disabled={said.what === "reading"}
        onPhoto={(photo) => void read(photo, URL.createObjectURL(photo), null)}
      />
    </details>
  );
}
