import type { Happening, ReplayWay } from "@/core/advice/replay/replay";
import { percent } from "./chances";
import { pestName } from "../names/names";

/** What is told of a happening beside itself. */
interface About {
  readonly code: string;
  /** Where it came to stand; null for what is no move. */
  readonly place: string | null;
  /** Its likeliest way; null where that is not known, or where nothing was found. */
  readonly way: ReplayWay | null;
  readonly codeOf: (plantId: string) => string | null;
}

const kinds: Record<ReplayWay["kind"], string> = {
  arrival: "it came with it",
  mother: "from its mother plant",
  resident: "there before your record began",
  remained: "left from its last case",
  background: "from outside, by window or clothes",
  neighbour: "from a neighbour",
  handled: "on hands and tools",
  others: "from several others",
};

function wayInWords(way: ReplayWay, codeOf: About["codeOf"]): string {
  const from = way.fromId === null ? null : codeOf(way.fromId);
  const source = from === null ? kinds[way.kind] : way.kind === "handled" ? `on hands, from ${from}` : `from ${from}`;
  return `; most likely ${source}, ${percent(way.share)}`;
}

/** One thing that happened on the shelves. @example happeningSentence(moved, { code: "L03", place: "Sill", … }) // "L03 moved to Sill" */
export function happeningSentence({ what, pest }: Happening, { code, place, way, codeOf }: About): string {
  switch (what) {
    case "found":
      return `${code}: ${pestName(pest)} found${way ? wayInWords(way, codeOf) : ""}`;
    case "ended":
      return `${code}: ${pestName(pest)} ended`;
    case "treated":
      return `${code} treated`;
    case "moved":
      return `${code} moved to ${place ?? "another place"}`;
  }
}
