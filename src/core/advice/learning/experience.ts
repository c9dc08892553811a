import { groupBy } from "../../shared/groupBy";
import type { ToolId } from "../../model/inspection/tools";
import type { ToldElsewhere } from "../../model/learning/elsewhere";
import type { CourseTaught } from "./courses";
import type { ToldBetween } from "./reliability";
import type { Sight } from "./sight";
import { countedOf, type Counted } from "./span";
import type { PestId } from "../../knowledge/pests/pests";
import { eachOf, isWork, type Dose } from "../planning/doses";
import {
  EXPERIENCE_VERSION,
  experienceFile,
  type ExperienceFile,
  type KeeperPart,
} from "../../record/format/experienceFile";
import { remedyNamed, remedyNames } from "../../record/format/schema";

/** One keeper's experience, ready to be handed on. `keeper` is 32 hex digits that say nothing but who is who. */
export function experienceOf(
  keeper: string,
  taught: {
    readonly courses: readonly CourseTaught[];
    readonly sights: readonly Sight[];
    readonly closings: readonly ToldBetween[];
    readonly cases: number;
    readonly worth: Omit<ToldElsewhere, "keepers">;
  },
): ExperienceFile {
  return experienceFile.parse({
    format: "wary-petal.experience",
    version: EXPERIENCE_VERSION,
    from: [
      {
        keeper,
        // A closing may outlast its case, where what had been found was struck out: what it told still counts.
        cases: Math.max(
          taught.cases,
          sum(taught.worth.hands, ({ cases }) => cases),
        ),
        // A way is of one remedy there: what a can of several has ended says nothing of any of them.
        courses: taught.courses
          .filter(({ dose }) => eachOf(dose).length === 1)
          .map(({ pest, dose, ended, returned }) => ({
            ...{ pest, way: wayOf(dose), ended: ended.hits, closed: ended.of, returned },
          })),
        sights: taught.sights.map(({ tool, saw }) => ({ tool, saw: saw.hits, of: saw.of })),
        closings: taught.closings.map(({ from, until, told, came }) => ({
          from,
          until,
          told,
          came: came.hits,
          of: came.of,
        })),
        ...taught.worth,
      },
    ],
  });
}

const wayOf = (dose: Dose): KeeperPart["courses"][number]["way"] =>
  isWork(dose) ? { work: dose.work } : { remedy: remedyNames[dose.remedy], technique: dose.technique };

/**
 * Several experiences as one: counts of different keepers add when they are read, and of one keeper the file with more cases counts, of
 * as many the one with more of them closed, or that tells of more looks, so that the same file twice counts once, in whatever order. @example mergeExperiences([file, file]) // as file
 */
export function mergeExperiences(files: readonly ExperienceFile[]): ExperienceFile {
  const parts = new Map<string, KeeperPart>();
  for (const part of files.flatMap(partsOf)) {
    const known = parts.get(part.keeper);
    if (!known || goesBefore(part, known)) parts.set(part.keeper, part);
  }
  const from = [...parts.values()].toSorted((a, b) => (a.keeper < b.keeper ? -1 : 1));
  return { format: "wary-petal.experience", version: EXPERIENCE_VERSION, from };
}

/** The eyes of earlier versions were taken for better than they are. */
const partsOf = ({ version, from }: ExperienceFile): readonly KeeperPart[] =>
  version === EXPERIENCE_VERSION ? from : from.map((part) => ({ ...part, eyes: [] }));

/** Which of two parts of one keeper counts; of two that know as much any, but always the same one. */
function goesBefore(a: KeeperPart, b: KeeperPart): boolean {
  const closedIn = ({ courses }: KeeperPart) => sum(courses, ({ closed }) => closed);
  const handsIn = ({ hands }: KeeperPart) => sum(hands, ({ cases }) => cases);
  const looksIn = ({ eyes, passing }: KeeperPart) => sum(eyes, ({ looks }) => looks) + passing.looks;
  const more = a.cases - b.cases || closedIn(a) - closedIn(b) || handsIn(a) - handsIn(b) || looksIn(a) - looksIn(b);
  return more > 0 || (more === 0 && JSON.stringify(a) > JSON.stringify(b));
}

const sum = <T>(all: readonly T[], of: (one: T) => number) => all.reduce((total, one) => total + of(one), 0);

/** What an experience comes to, over all its keepers. */
export interface Experience {
  readonly keepers: number;
  readonly cases: number;
  readonly courses: readonly {
    readonly pest: PestId;
    readonly dose: Dose;
    readonly ended: Counted;
    readonly returned: number;
  }[];
  readonly sights: readonly { readonly tool: ToolId; readonly saw: Counted }[];
}

/** The counts of all keepers together, each with its span; what was used most first. */
export function summedUp({ from }: ExperienceFile): Experience {
  const courses = groupBy(
    from.flatMap((part) => part.courses),
    (one) => JSON.stringify([one.pest, one.way]),
  );
  const sights = groupBy(
    from.flatMap((part) => part.sights),
    ({ tool }) => tool,
  );
  return {
    keepers: from.length,
    cases: sum(from, ({ cases }) => cases),
    courses: [...courses.values()]
      .map((some) => ({
        pest: some[0]!.pest,
        dose: doseOf(some[0]!.way),
        ended: countedOf(
          sum(some, ({ ended }) => ended),
          sum(some, ({ closed }) => closed),
        ),
        returned: sum(some, ({ returned }) => returned),
      }))
      .toSorted((a, b) => b.ended.of - a.ended.of),
    sights: [...sights].map(([tool, some]) => ({
      tool,
      saw: countedOf(
        sum(some, ({ saw }) => saw),
        sum(some, ({ of }) => of),
      ),
    })),
  };
}

/**
 * What keepers' records have told, to begin with elsewhere: sums over all of them but `own`, which counts by its record already; null where
 * nobody else is in it. @example toldElsewhere(file, file.from[0].keeper) // null
 */
export function toldElsewhere({ from }: ExperienceFile, own: string): ToldElsewhere | null {
  const others = from.filter(({ keeper }) => keeper !== own);
  if (others.length === 0) return null;
  const hands = groupBy(
    others.flatMap((part) => part.hands),
    ({ technique }) => technique,
  );
  const eyes = groupBy(
    others.flatMap((part) => part.eyes),
    ({ tool }) => tool,
  );
  return {
    keepers: others.length,
    hands: [...hands].map(([technique, some]) => ({
      technique,
      cases: sum(some, ({ cases }) => cases),
      worth: [
        sum(some, ({ worth }) => worth[0]),
        sum(some, ({ worth }) => worth[1]),
        sum(some, ({ worth }) => worth[2]),
      ],
    })),
    eyes: [...eyes].map(([tool, some]) => ({
      tool,
      looks: sum(some, ({ looks }) => looks),
      precision: sum(some, ({ precision }) => precision),
      pull: sum(some, ({ pull }) => pull),
    })),
    arrivals: {
      plants: sum(others, ({ arrivals }) => arrivals.plants),
      showed: sum(others, ({ arrivals }) => arrivals.showed),
    },
    passing: {
      looks: sum(others, ({ passing }) => passing.looks),
      precision: sum(others, ({ passing }) => passing.precision),
      pull: sum(others, ({ passing }) => passing.pull),
    },
  };
}

const doseOf = (one: KeeperPart["courses"][number]["way"]): Dose =>
  "work" in one ? { work: one.work } : { remedy: remedyNamed(one.remedy), technique: one.technique };
