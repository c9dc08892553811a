import { countSpots } from "@/core/model/inspection/cardSpots";
import { findCard, level } from "../levelled";
import { spotsOn } from "../spots";
import { drawCard, SIZE, type Drawn, type Grade } from "./drawCard";

/** Of what was drawn, the share that was found; of what was found, the share that was drawn. */
interface Found {
  readonly recall: number;
  readonly precision: number;
}

/** What is found so near to where it was drawn is that, mm. */
const NEAR_MM = 2;

/** How well drawn cards of a grade are counted. Cards on which no card is found count as nothing found. */
export async function scoreOf(grade: Grade, cards: number): Promise<{ flies: Found; thrips: Found; unfound: number }> {
  const tally = { fly: { hits: 0, drawn: 0, found: 0 }, thrips: { hits: 0, drawn: 0, found: 0 } };
  let unfound = 0;
  for (let seed = 0; seed < cards; seed++) {
    const { frame, drawn } = await drawCard(seed, grade);
    const corners = findCard(frame);
    if (!corners) unfound++;
    const spots = corners ? countSpots(spotsOn(level(frame, corners, SIZE))) : [];
    for (const kind of ["fly", "thrips"] as const) {
      const there = new Set(drawn.filter((one) => one.kind === kind));
      tally[kind].drawn += there.size;
      for (const { xMm, yMm, many } of spots.filter((one) => one.kind === kind))
        for (let n = 0; n < many; n++) {
          tally[kind].found++;
          const hit = nearest(there, xMm, yMm);
          if (hit && there.delete(hit)) tally[kind].hits++;
        }
    }
  }
  const share = ({ hits, drawn, found }: (typeof tally)["fly"]): Found => ({
    recall: drawn === 0 ? 1 : hits / drawn,
    precision: found === 0 ? 1 : hits / found,
  });
  return { flies: share(tally.fly), thrips: share(tally.thrips), unfound };
}

function nearest(there: ReadonlySet<Drawn>, xMm: number, yMm: number): Drawn | undefined {
  const far = (one: Drawn) => Math.hypot(one.xMm - xMm, one.yMm - yMm);
  return [...there].filter((one) => far(one) <= NEAR_MM).sort((a, b) => far(a) - far(b))[0];
}
