import { expose } from "comlink";
import { countSpots, type CardSize, type CountedSpot } from "@/core/model/inspection/cardSpots";
import { movedOnPaper } from "@/imaging/paper";
import { findCard, level, sidesOf, type Corner, type Frame } from "@/imaging/levelled";
import { spotsOn } from "@/imaging/spots";

/** A picture is made no larger than this along its longer side, px: a thrips is still seen. */
const MOST_PX = 2600;

/** What a photo of a card comes to. */
export interface CardRead {
  /** The card as if seen from above, to be shown and kept. */
  readonly picture: Blob;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly spots: readonly CountedSpot[];
  /** Where the card lies on the photo, as shares of its width and height. */
  readonly corners: readonly Corner[];
  /** Its shorter side ÷ its longer one, as they are on the photo. */
  readonly sides: number;
}

/** The pixels of a picture file, turned as it was taken. Throws where it is none. */
async function pixelsOf(file: Blob): Promise<Frame> {
  const whole = await createImageBitmap(file, { imageOrientation: "from-image" });
  const factor = Math.min(1, MOST_PX / Math.max(whole.width, whole.height));
  const [width, height] = [Math.round(whole.width * factor), Math.round(whole.height * factor)];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext("2d", { willReadFrequently: true })!;
  context.drawImage(whole, 0, 0, width, height);
  whole.close();
  return context.getImageData(0, 0, width, height);
}

async function pictureOf({ data, width, height }: Frame): Promise<Blob> {
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext("2d")!.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
  return canvas.convertToBlob({ type: "image/jpeg", quality: 0.85 });
}

const cardReader = {
  /** Reads a photo of a sticky card; null where no card is found and no corners are given. `corners` are shares of the photo. */
  async read(file: Blob, size: CardSize, corners: readonly Corner[] | null): Promise<CardRead | null> {
    const frame = await pixelsOf(file);
    const { width, height } = frame;
    const found = corners?.map(({ x, y }) => ({ x: x * width, y: y * height })) ?? findCard(frame);
    if (!found) return null;
    const card = level(frame, found, size);
    const { across, down } = sidesOf(found);
    return {
      picture: await pictureOf(card),
      widthMm: card.width / card.pxPerMm,
      heightMm: card.height / card.pxPerMm,
      spots: countSpots(spotsOn(card)),
      sides: Math.min(across, down) / Math.max(across, down),
      corners: found.map(({ x, y }) => ({ x: x / width, y: y / height })),
    };
  },

  /** What moved on a white paper between two photos of it, ringed on the second; null where the paper is not found on one of them. */
  async moved(
    before: Blob,
    after: Blob,
    size: CardSize,
  ): Promise<Pick<CardRead, "picture" | "widthMm" | "heightMm" | "spots"> | null> {
    const found = movedOnPaper(await pixelsOf(before), await pixelsOf(after), size);
    if (!found) return null;
    const { paper, moved } = found;
    return {
      picture: await pictureOf(paper),
      widthMm: paper.width / paper.pxPerMm,
      heightMm: paper.height / paper.pxPerMm,
      spots: moved.map((spot) => ({ ...spot, kind: "fly", many: 1 })),
    };
  },
};

export type CardReader = typeof cardReader;

expose(cardReader);
