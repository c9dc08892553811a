import { applicationEvents } from "../../acts/contact";
import { minutesFor } from "../../acts/effort";
import { mixVolume } from "../../knowledge/mixes/sprayVolume";
import { potencyOf } from "../../knowledge/mixes/potency";
import { pestOf, type PestId } from "../../knowledge/pests/pests";
import { spotsFor } from "../../knowledge/remedies/remedies";
import type { TreatedPlant } from "../tolerance/treatedPlant";
import { mixFor, refusals } from "../tolerance/mixFor";
import { objections } from "../tolerance/suitability";
import type { Asked } from "./ask";
import { reckonOne } from "./carries";

/** A plant beside a find, as both schools see it. */
export interface Neighbour {
  readonly asked: Asked;
  readonly bearer: TreatedPlant;
  readonly potCm: number;
  /** What a usual look takes. */
  readonly lookMinutes: number;
}

/** What the two schools come to beside a find. Plain data. */
export interface Schools {
  readonly plants: number;
  /** The chance that at least one of them carries the pest now. */
  readonly oneCarries: number;
  readonly treat: {
    readonly minutes: number;
    readonly volumeMl: number;
    /** The chance that at least one still carries it after one spray of all that bear it. */
    readonly oneLeft: number;
    /** Plants that do not bear the spray and are only looked at, and those that bear it with care only. */
    readonly refused: number;
    readonly withCare: number;
  };
  readonly look: {
    readonly minutes: number;
    /** The chance that a usual look at each finds one, and that at least one carries it where all were clean. */
    readonly oneFound: number;
    readonly oneLeft: number;
  };
}

/**
 * Both schools priced: treat every neighbour once, by a soap spray in the mix for each; or look at each once. `asked` with one look,
 * the usual one. The plants count as independent of each other.
 */
export function schoolsBeside(pest: PestId, neighbours: readonly Neighbour[]): Schools {
  const none = (chances: readonly number[]) => 1 - chances.reduce((product, p) => product * (1 - p), 1);
  const bears = neighbours.map(({ bearer }) => refusals("soap", "spray", bearer).length === 0);
  const now = neighbours.map(({ asked }) => reckonOne(asked.question));
  const sprayed = neighbours.map((one, i) => (bears[i] ? afterSpray(pest, one) : (now[i]?.pCarries ?? 0)));
  const treated = neighbours.filter((_, i) => bears[i]);
  const care = treated.filter(({ bearer }) => objections(bearer, mixFor("soap", bearer), "spray").length > 0);
  return {
    plants: neighbours.length,
    oneCarries: none(now.map((one) => one?.pCarries ?? 0)),
    treat: {
      minutes: treated.reduce((sum, { potCm }) => sum + minutesFor("spray", potCm), 0),
      volumeMl: mixVolume(treated.map(({ potCm }) => ({ technique: "spray", potCm }))),
      oneLeft: none(sprayed),
      refused: neighbours.length - treated.length,
      withCare: care.length,
    },
    look: {
      minutes: neighbours.reduce((sum, { lookMinutes }) => sum + lookMinutes, 0),
      oneFound: none(now.map((one) => one?.looks[0]?.pFind ?? 0)),
      oneLeft: none(now.map((one) => one?.looks[0]?.pCarriesAfterClean ?? 0)),
    },
  };
}

function afterSpray(pest: PestId, { asked: { question }, bearer }: Neighbour): number {
  const on = { form: bearer.form, weights: pest, spots: spotsFor("spray", bearer.form) };
  const spray = { remedy: "soap", technique: "spray", potency: potencyOf(mixFor("soap", bearer)), on } as const;
  const events = [...question.events, ...applicationEvents(pestOf(pest), spray, question.asOfDays)];
  return reckonOne({ ...question, events, looks: [] })?.pCarries ?? 0;
}
