import type { SellerTaught } from "@/core/advice/learning/arrivals";
import { plainlyBetter, speaks, type CourseTaught } from "@/core/advice/learning/courses";
import type { ToldBetween } from "@/core/advice/learning/reliability";
import type { Counted } from "@/core/advice/learning/span";
import type { Blamed } from "@/core/advice/learning/blame";
import type { BetterTool } from "@/core/advice/learning/rhythm";
import { reaches } from "@/core/model/clearance/scenarios";
import type { Learned } from "@/core/model/learning/grid";
import type { LearnedReach } from "@/core/model/learning/reach";
import type { LearnedSight } from "@/core/model/learning/sight";
import type { ToolId } from "@/core/model/inspection/tools";
import type { RemedyId, TechniqueId } from "@/core/knowledge/remedies/remedies";
import { eachOf, isWork, type Dose } from "@/core/advice/planning/doses";
import type { Experience } from "@/core/advice/learning/experience";
import type { ToldElsewhere } from "@/core/model/learning/elsewhere";
import { exp } from "@/core/shared/exponential";
import { groupBy } from "@/core/shared/groupBy";
import { workNames } from "../names/acts";
import { manyInWords } from "../numbers";
import { inTen, percent } from "./chances";
import { dayCount } from "../dates";
import { pestName, remedyNames, techniqueNames, toolNames } from "../names/names";

/** A way as it is said. @example doseInWords({ remedy: "oil", technique: "spray" }) // "Smothering oil, spray to run-off" */
export function doseInWords(dose: Dose): string {
  if (isWork(dose)) return workNames[dose.work];
  // Its name says how it is usually put on.
  const nameOf = (remedy: RemedyId) => (remedy === "alcohol" ? "Alcohol" : remedyNames[remedy]);
  const [first, ...others] = eachOf(dose).flatMap((one) => (isWork(one) ? [] : [nameOf(one.remedy)]));
  const names = [first, ...others.map((one) => one.toLowerCase())].join(" and ");
  return `${names}, ${techniqueNames[dose.technique].toLowerCase()}`;
}

/** So many of so many, with the span of what may be behind it. @example countedInWords(countedOf(4, 5)) // "4 of 5 (51 % to 94 %)" */
export function countedInWords({ hits, of, low, high }: Counted): string {
  return `${hits} of ${of} (${percent(low)} to ${percent(high)})`;
}

/** What the record says of the ways used against each pest, where at least two have been used often enough. @example taughtSentences([]) // [] */
export function taughtSentences(courses: readonly CourseTaught[]): string[] {
  return [...groupBy(courses.filter(speaks), ({ pest }) => pest)].flatMap(([pest, ways]) => {
    if (ways.length < 2) return [];
    const inOrder = ways.toSorted((a, b) => b.ended.hits / b.ended.of - a.ended.hits / a.ended.of);
    const parts = inOrder.map(
      ({ dose, ended, treatments }) =>
        `${doseInWords(dose).toLowerCase()} ended ${ended.hits} of ${ended.of}${treatments === null ? "" : ` in ${treatments} ${treatments === 1 ? "treatment" : "treatments"}`}`,
    );
    const [best, worst] = [inOrder[0]!, inOrder.at(-1)!];
    const sure = plainlyBetter(best, worst)
      ? `That ${doseInWords(best.dose).toLowerCase()} ends more is hardly chance, if the cases were equally bad.`
      : "There are too few cases to tell which is better.";
    return [`Against ${pestName(pest)}: ${parts.join("; ")}. ${sure}`];
  });
}

/** What the ways of a plan have ended on the keeper's own record; none for those it tells nothing of. @example ownSentences([], []) // [] */
export function ownSentences(doses: readonly Dose[], taught: readonly CourseTaught[]): string[] {
  const used = new Set(doses.map(doseInWords));
  return taught
    .filter(({ dose }) => used.has(doseInWords(dose)))
    .map(
      ({ pest, dose, ended }) =>
        `On your own record ${doseInWords(dose).toLowerCase()} ended ${countedInWords(ended)} cases of ${pestName(pest)} for good.`,
    );
}

const reachNames = ["misses much more than usual", "misses as much as usual", "misses much less than usual"] as const;

/** What the cases of a hand, and those of other keepers where they count, say of how much it misses, beside our estimate; the share that has moved most. @example handSentence(hand) // "Spray to run-off: from 9 cases …" */
export function handSentence(
  {
    technique,
    cases,
    learned,
  }: { readonly technique: TechniqueId; readonly cases: number; readonly learned: LearnedReach | null },
  withOthers = false,
): string {
  const from = `${techniqueNames[technique]}: ${manyInWords(cases, "closed case")}`;
  if (!learned) return `${from}, too few to say.`;
  const moved = ([0, 1, 2] as const).reduce(
    (most, i) => (away(learned, i) > away(learned, most) ? i : most),
    0 as 0 | 1 | 2,
  );
  const [ours, yours] = [reaches[moved].prior, learned.mean[moved]];
  const span = `${percent(learned.low[moved])} to ${percent(learned.high[moved])}`;
  return `${from}. We expect that in ${percent(ours)} of cases it ${reachNames[moved]}; your record ${withOthers ? "with other keepers' " : ""}says ${percent(yours)} (${span}).`;
}

const away = ({ mean }: LearnedReach, i: 0 | 1 | 2) => Math.abs(mean[i] - reaches[i].prior);

const verdicts: Readonly<Record<NonNullable<ToldBetween["off"]> | "fits", string>> = {
  fits: "That fits",
  tooFew: "Too few to tell",
  tooSure: "We were too sure: more came back than chance explains",
  tooCautious: "We were more cautious than necessary",
};

/** What came of chances that were told. @example toldSentence(bin) // "Called clear at 95 % to 99 %: nothing came back in 9 of 10 …" */
export function toldSentence({ from, until, told, came, off }: ToldBetween): string {
  return `Called clear at ${percent(from)} to ${percent(until)}, ${percent(told)} on average: nothing came back in ${countedInWords(came)}. ${verdicts[off ?? "fits"]}.`;
}

/** What came of what plans promised. @example promiseSentence(bin) // "Plans adopted at 60 % to 80 %: the looks afterwards were clean in 5 of 6 (61 % to 94 %). That fits." */
export function promiseSentence({ from, until, came, off }: ToldBetween): string {
  const verdict = { ...verdicts, tooSure: "We were too sure", tooCautious: "It went better than we expected" };
  return `Plans adopted at ${percent(from)} to ${percent(until)}: the looks afterwards were clean in ${countedInWords(came)}. ${verdict[off ?? "fits"]}.`;
}

/** What came of the spans told of counts on cards. @example cardsSentence({ within, below: 0, above: 2 }) // "7 of 9 counts (… to …) lay within the span we told; 84 % should. Higher: 2, lower: 0. That fits." */
export function cardsSentence({ told, came, off }: ToldBetween, below: number, above: number): string {
  const verdict = {
    ...verdicts,
    tooSure: "Our spans were too narrow",
    tooCautious: "Our spans were wider than necessary",
  };
  const outside = below + above === 0 ? "" : ` Higher: ${above}, lower: ${below}.`;
  return `${countedInWords(came)} counts lay within the span we told; ${percent(told)} should.${outside} ${verdict[off ?? "fits"]}.`;
}

/** What came of what looks were expected to find. @example expectedSentence(bin) // "Looks told to find something at 1 % to 2 %: 3 of 140 did (1 % to 4 %). That fits." */
export function expectedSentence({ from, until, came, off }: ToldBetween): string {
  const verdict = {
    ...verdicts,
    tooSure: "Less was found than chance explains",
    tooCautious: "More was found than chance explains",
  };
  return `Told to find something at ${percent(from)} to ${percent(until)}: ${countedInWords(came)} did. ${verdict[off ?? "fits"]}.`;
}

/** What makes chances wrong, as far as that has been learned. @example blameSentence([{ kind: "eye", tool: "lamp", factor: 0.59 }]) // "Probably because with the lamp you see 59 % of what we suppose." */
export function blameSentence(blamed: readonly Blamed[]): string {
  if (blamed.length === 0) return "None of the numbers learned so far explains it.";
  const causes = blamed.map((one) => {
    switch (one.kind) {
      case "eye":
        return `${lookedWith[one.tool]} you see ${percent(one.factor)} of what we suppose`;
      case "hand":
        return `“${techniqueNames[one.technique].toLowerCase()}” misses much ${one.factor.toFixed(1)} times as often as we suppose`;
      case "passing":
        return `${one.factor.toFixed(1)} times as much passes from plant to plant as we suppose`;
    }
  });
  return `Probably because ${causes.join(", and ")}.`;
}

/** How much more or less passes from plant to plant than we suppose. @example passingSentence({ mean: 1.4, low: 0.8, high: 2.1 }) // "From plant to plant, 1.4 times as much passes as we suppose (0.8 to 2.1)." */
export function passingSentence({ mean, low, high }: Learned): string {
  const times = (factor: number) => factor.toFixed(1);
  return `From plant to plant, ${times(mean)} times as much passes as we suppose (${times(low)} to ${times(high)}).`;
}

/** What looks beside finds say of how much an eye with a tool sees, beside our estimate. @example sightSentence({ tool: "eye", looks: 2, learned: null }) // "Naked eye, room light: 2 looks beside a find, too few to say." */
export function sightSentence({
  tool,
  looks,
  learned,
}: {
  readonly tool: ToolId;
  readonly looks: number;
  readonly learned: LearnedSight | null;
}): string {
  const from = `${toolNames[tool]}: ${manyInWords(looks, "look")} beside a find`;
  if (!learned) return `${from}, too few to say.`;
  return `${from}. It sees ${percent(learned.mean)} of what we suppose (${percent(learned.low)} to ${percent(learned.high)}).`;
}

const lookedWith: Readonly<Record<ToolId, string>> = {
  eye: "by eye",
  lamp: "with the lamp",
  loupe: "with lamp and loupe",
  paper: "over white paper",
  unpotted: "unpotted",
};

/** What another tool would do for the rhythm. @example betterSentence(one) // "By eye you see a light infestation like these in 2 in 10 looks, with lamp and loupe in 6 in 10. …" */
export function betterSentence({ instead, tool, sees, would, everyDays, couldBe }: BetterTool): string {
  const [now, better] = [lookedWith[instead], lookedWith[tool]];
  const first = `${now[0]!.toUpperCase()}${now.slice(1)}`;
  return `${first}, ${inTen(sees)} looks see a light infestation like these; ${better}, ${inTen(would)}. A look every ${dayCount(couldBe)} ${better} finds it as early as one every ${dayCount(everyDays)} ${now}. Plants in a case, at risk or new here still want weekly looks.`;
}

/**
 * What the keeper's record, and others that were read in, make of a case, beside what it would be by our estimates alone.
 * @example byOursSentence(0.97, 0.91) // "What has been learned counts here, and makes it surer: by our estimates alone it would be 91 %."
 */
export function byOursSentence(own: number, ours: number): string {
  const [mine, theirs] = [percent(own), percent(ours)];
  if (mine === theirs) return "What has been learned counts here; it agrees with our estimates.";
  return `What has been learned counts here, and makes it ${own > ours ? "surer" : "less sure"}: by our estimates alone it would be ${theirs}.`;
}

/** A case by what has been learned, beside our estimates. @example twiceSentence({ pClear: 0.97, byOurs: 0.91 }) // "97 % likely over; 91 % by our estimates alone." */
export function twiceSentence({ pClear, byOurs }: { readonly pClear: number; readonly byOurs: number }): string {
  return `${percent(pClear)} likely over; ${percent(byOurs)} by our estimates alone.`;
}

/** What came with the plants of a seller. @example arrivalsSentence(one) // "Swap: 4 of 13 plants showed a pest soon after they came. About 22 % of the next will (11 % to 33 %)." */
export function arrivalsSentence({ seller, plants, showed, learned }: SellerTaught): string {
  const some =
    plants === 1 ? `its one plant showed ${showed === 1 ? "a" : "no"}` : `${showed} of ${plants} plants showed a`;
  return `${seller}: ${some} pest soon after coming. About ${percent(learned.mean)} of the next will (${percent(learned.low)} to ${percent(learned.high)}).`;
}

/** Whose experience was read in. @example elsewhereSentence({ keepers: 1, cases: 12 }, false) // "From one other keeper with 12 cases. New cases start from theirs as well." */
export function elsewhereSentence({ keepers, cases }: Pick<Experience, "keepers" | "cases">, unused: boolean): string {
  const counts = unused
    ? "Your settings say that new cases start from our estimates alone: theirs are only shown."
    : "New cases start from theirs as well, until your own record says more.";
  return `From ${manyInWords(keepers, "other keeper")} with ${manyInWords(cases, "case")}. ${counts}`;
}

/** What an eye with a tool sees elsewhere, of what we suppose; the middle of what their looks allow. */
export function sightElsewhereSentence({ tool, looks, precision, pull }: ToldElsewhere["eyes"][number]): string {
  return `${toolNames[tool]}: ${manyInWords(looks, "look")} beside a find; theirs see about ${percent(exp(pull / precision))} of what we suppose.`;
}

/** How much passes from plant to plant elsewhere, of what we suppose; the middle of what their looks allow. */
export function passingElsewhereSentence({ looks, precision, pull }: ToldElsewhere["passing"]): string {
  return `${manyInWords(looks, "look")} held against what we told: from plant to plant about ${exp(pull / precision).toFixed(1)} times as much passes there as we suppose.`;
}

/** What came with new plants elsewhere. @example arrivalsElsewhereSentence({ plants: 20, showed: 3 }) // "3 of 20 new plants showed a pest soon after coming." */
export function arrivalsElsewhereSentence({ plants, showed }: ToldElsewhere["arrivals"]): string {
  return `${showed} of ${manyInWords(plants, "new plant")} showed a pest soon after coming.`;
}
