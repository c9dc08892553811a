import type { MixId } from "../src/core/knowledge/mixes/mixes";
import type { PestId } from "../src/core/knowledge/pests/pests";
import type { SignId } from "../src/core/knowledge/signs/signs";
import { spotsOf, type GrowthFormId } from "../src/core/knowledge/plants/growthForms";
import { spotsFor, type TechniqueId } from "../src/core/knowledge/remedies/remedies";
import type { SeverityId } from "../src/core/model/inspection/severity";
import type { ToolId } from "../src/core/model/inspection/tools";
import type { Contact } from "../src/core/acts/contact";
import { recordAct } from "../src/operations/acts/commands/recordAct";
import { closeCase } from "../src/operations/cases/commands/closeCase";
import { addPhoto } from "../src/operations/looks/commands/addPhoto";
import { recordLook } from "../src/operations/looks/commands/recordLook";
import { movePlant } from "../src/operations/plants/commands/movePlant";
import { recordReaction } from "../src/operations/plants/commands/recordReaction";
import { setApart } from "../src/operations/plants/commands/setApart";
import { beginProgramme } from "../src/operations/seasons/commands/beginProgramme";
import { endProgramme } from "../src/operations/seasons/commands/endProgramme";
import { addDays } from "../src/core/shared/days";
import { today, type Context } from "../src/operations/shared/context";
import { expectOk } from "../src/operations/shared/outcome";
import type { PlaceKey } from "./collection";
import { drawnLeaf, type LeafState } from "./leaves";

/** The record goes so many days back; the plants named below, and the terrace, were there from then on. */
export const YEAR_AGO = 366;

/** One course that has come to its end: all figures are days before today. */
interface Course {
  readonly plant: string;
  readonly pest: PestId;
  readonly severity: SeverityId;
  readonly count?: number;
  readonly found: number;
  readonly note: string;
  /** The signs that were looked for when it was found, and spoke for it. */
  readonly signs?: { readonly present: readonly SignId[]; readonly absent: readonly SignId[] };
  readonly tool: ToolId;
  /** A look by the eye that passed it over, the day before. */
  readonly passedOver?: true;
  /** Where it was set apart, and taken back from when it was closed. */
  readonly apart?: "pantry" | "loft";
  readonly mix: MixId;
  /** What it was treated with on single days, where that was another. */
  readonly mixOn?: Readonly<Record<number, MixId>>;
  readonly technique: TechniqueId;
  readonly volumeMl: number;
  readonly treated: readonly number[];
  /** Animals were still there, so many. */
  readonly again?: { readonly ago: number; readonly count: number };
  readonly clean: readonly number[];
  readonly closed: number;
  readonly closing: string;
  readonly photos?: readonly { readonly ago: number; readonly leaf: LeafState }[];
}

/** A year in the Lamp House before the weekly rounds: made up. */
const courses: readonly Course[] = [
  {
    ...{ plant: "S03", pest: "mealybug", severity: "light", count: 6, found: 352, tool: "loupe", apart: "pantry" },
    note: "Cotton between the tubercles, near the crown.",
    signs: { present: ["cottonTufts"], absent: ["stickyFilm", "ants"] },
    ...{ mix: "alcoholFull", technique: "dab", volumeMl: 5, treated: [352, 345, 338, 331] },
    ...{ clean: [321, 314, 307], closed: 306, closing: "Three clean looks." },
  },
  {
    ...{ plant: "V02", pest: "softScale", severity: "patch", found: 300, tool: "lamp" },
    note: "Shells along the midribs, the sill below is sticky.",
    ...{ mix: "oil2", technique: "spray", volumeMl: 130, treated: [300, 286, 272, 258] },
    ...{ clean: [242, 228, 214], closed: 213, closing: "Two months without a live shell." },
  },
  {
    ...{ plant: "R10", pest: "spiderMite", severity: "patch", found: 264, tool: "loupe", apart: "pantry" },
    ...{ passedOver: true, note: "Stippled between the veins; the heating had run for a month." },
    signs: { present: ["stippling", "webbing"], absent: ["silverStreaks"] },
    ...{ mix: "soapMild", technique: "spray", volumeMl: 75, treated: [264, 260, 256, 252, 248] },
    ...{ again: { ago: 256, count: 3 }, clean: [241, 233, 225], closed: 224, closing: "New leaves without a mark." },
    photos: [
      { ago: 264, leaf: "stippled" },
      { ago: 225, leaf: "scarred" },
    ],
  },
  {
    ...{ plant: "S03", pest: "mealybug", severity: "trace", count: 2, found: 236, tool: "loupe", apart: "pantry" },
    note: "Back in the crown, at bloom.",
    signs: { present: ["cottonTufts", "alcoholDissolves"], absent: ["stickyFilm"] },
    ...{ mix: "alcoholFull", technique: "sprayAndSwab", volumeMl: 60, treated: [236, 229, 222, 215, 208] },
    ...{ clean: [199, 190, 181], closed: 180, closing: "Watched for two months this time." },
  },
  {
    ...{ plant: "R13", pest: "thrips", severity: "light", count: 5, found: 205, tool: "lamp", passedOver: true },
    ...{ apart: "loft", note: "Silver streaks on two leaves, came in with the window open." },
    ...{
      mixOn: { 205: "soapStrong", 200: "soapMild", 195: "soapMild" },
      mix: "spinosadLabel",
      technique: "spray",
      volumeMl: 60,
    },
    ...{ treated: [205, 200, 195, 190, 183, 176, 169] },
    ...{
      again: { ago: 190, count: 2 },
      clean: [161, 154, 147],
      closed: 146,
      closing: "Three weeks without a new streak.",
    },
  },
  {
    ...{ plant: "R06", pest: "mealybug", severity: "light", count: 4, found: 172, tool: "loupe", passedOver: true },
    note: "In the gaps between the leaves.",
    ...{ mix: "alcoholFull", technique: "dab", volumeMl: 5, treated: [172, 165, 158, 151] },
    ...{ clean: [142, 135, 128], closed: 127, closing: "Clear." },
  },
  {
    ...{ plant: "S02", pest: "spiderMite", severity: "light", count: 8, found: 138, tool: "loupe", passedOver: true },
    note: "Brown cork high up on the ribs, it creeps under the loupe.",
    signs: { present: ["creepingSpecks"], absent: ["webbing"] },
    ...{ mix: "soapAlcohol", technique: "spray", volumeMl: 45, treated: [138, 134, 130, 126] },
    ...{ clean: [117, 110, 103], closed: 102, closing: "Clear." },
  },
  {
    ...{ plant: "V01", pest: "softScale", severity: "light", count: 7, found: 122, tool: "eye" },
    note: "Found while picking leaves for the kitchen.",
    ...{ mix: "oil2", technique: "wipe", volumeMl: 50, treated: [122, 108, 94] },
    ...{ clean: [80, 66, 52], closed: 51, closing: "Clear." },
  },
  {
    ...{ plant: "V03", pest: "aphid", severity: "patch", found: 98, tool: "eye" },
    note: "Green ones on every tip.",
    ...{ mix: "soapMild", technique: "spray", volumeMl: 80, treated: [98, 94] },
    ...{ clean: [87, 80], closed: 79, closing: "Clear after two washes." },
  },
];

const namingOf = ({ signs, pest }: Course) =>
  signs ? { present: [...signs.present], absent: [...signs.absent], by: "signs" as const, likeliest: pest } : null;

/** Those that were set apart meanwhile, and came back at the end of their row. */
export const movedMeanwhile: ReadonlySet<string> = new Set(
  courses.flatMap(({ plant, apart }) => (apart ? [plant] : [])),
);

/** Some of the plants that were there a year ago had come so many days before. */
export const cameBefore: Readonly<Record<string, number>> = {
  ...{ S03: 5, R06: 6, R13: 14, V02: 44, V03: 114, R10: 154, S02: 534, V01: 734 },
};

/** The plants that were there a year ago. */
export const longThere: ReadonlySet<string> = new Set([
  "V01",
  "V02",
  "V03",
  "V04",
  ...courses.map(({ plant }) => plant),
]);

/** How a plant has borne what it was given. */
const reactions = [
  {
    plant: "R13",
    mix: "soapStrong",
    technique: "spray",
    what: "scorch",
    ago: 204,
    note: "Brown rims on two leaves; the mild mix from now on.",
  },
  { plant: "R06", mix: "alcoholFull", technique: "dab", what: "nothing", ago: 171, note: "" },
] as const;

/** A round of oil over the terrace, each month of the warm half of the record. */
const round = {
  begun: 250,
  days: [250, 220, 190, 160],
  ended: 140,
  mix: "oil1",
  technique: "spray",
  volumeMl: 90,
} as const;
const onTerrace = ["V01", "V02", "V04"] as const;

interface Loading {
  /** The context of a day so many days ago, at a wall time. */
  readonly at: (ago: number, time: string) => Context;
  readonly idOf: (...parts: readonly (string | number)[]) => string;
  readonly formOf: (code: string) => GrowthFormId;
  readonly placeOf: (code: string) => PlaceKey;
}

/** Everything that happened in the year before the weekly rounds. Gives how many looks and cases that were. */
export async function loadYear(loading: Loading): Promise<{ looks: number; cases: number }> {
  const happened = [
    ...courses.flatMap((course) => stepsOf(course, loading)),
    ...roundSteps(loading),
    ...winteringSteps(loading),
    ...told(loading),
  ];
  // Each fact is written down after everything that came before it.
  for (const { act } of happened.toSorted((a, b) => b.ago - a.ago || a.order - b.order)) await act();
  const looks = courses.reduce(
    (sum, { clean, again, passedOver }) => sum + 1 + clean.length + Number(!!again) + Number(!!passedOver),
    0,
  );
  return { looks, cases: courses.length };
}

interface Step {
  readonly ago: number;
  /** Within a day. */
  readonly order: number;
  readonly act: () => Promise<void>;
}

function stepsOf(course: Course, { at, idOf, formOf, placeOf }: Loading): Step[] {
  const { plant, pest, found, mix, technique, volumeMl, tool } = course;
  const [plantId, caseId] = [idOf("plant", plant), idOf("case", plant, pest, found)];
  const spots = spotsOf(formOf(plant)).filter((spot) => spot !== "roots");
  const look = (ago: number, key: string, over: object): Step => ({
    ...{ ago, order: 1 },
    act: async () => {
      const context = at(ago, "19:10");
      const seen = { plantId, at: context.now, tool, spots, note: "", naming: null, finds: [] };
      expectOk(await recordLook(context, { id: idOf("look", plant, key, ago), ...seen, ...over }));
    },
  });
  const find = (ago: number, severity: SeverityId, count: number | null) => ({
    finds: [{ id: idOf("find", plant, pest, ago), caseId, pest, severity, count, removed: false }],
  });
  const steps: Step[] = [
    look(found, "year", {
      note: course.note,
      naming: namingOf(course),
      ...find(found, course.severity, course.count ?? null),
    }),
    ...course.clean.map((ago) => look(ago, "year", { tool: "loupe" })),
    ...course.treated.map((ago) =>
      treatment(ago, { plant, caseId, mix: course.mixOn?.[ago] ?? mix, technique, volumeMl }, { at, idOf, formOf }),
    ),
    {
      ...{ ago: course.closed, order: 4 },
      act: async () => {
        const context = at(course.closed, "20:30");
        const closing = { id: idOf("close", plant, pest, found), caseId, outcome: "clear" as const, at: context.now };
        expectOk(await closeCase(context, { ...closing, note: course.closing }));
        if (!course.apart) return;
        const home = { plantId, placeId: idOf("place", placeOf(plant)), at: context.now };
        expectOk(await movePlant(context, { id: idOf("back", plant, found), ...home }));
      },
    },
  ];
  if (course.passedOver) steps.push(look(found + 1, "passed", { tool: "eye", note: "" }));
  if (course.again) steps.push(look(course.again.ago, "again", find(course.again.ago, "trace", course.again.count)));
  const { apart } = course;
  if (apart)
    steps.push({
      ...{ ago: found, order: 2 },
      act: async () => {
        const context = at(found, "19:30");
        const bagId = idOf("bag", plant, found);
        const there = { plantId, placeId: idOf("place", apart), bagId, at: context.now };
        expectOk(await setApart(context, { id: idOf("apart", plant, found), ...there }));
      },
    });
  for (const { ago, leaf } of course.photos ?? [])
    steps.push({
      ...{ ago, order: 2 },
      act: async () => {
        const photo = { id: idOf("photo", plant, ago), lookId: idOf("look", plant, "year", ago) };
        expectOk(await addPhoto(at(ago, "19:20"), { ...photo, bytes: await drawnLeaf(leaf) }));
      },
    });
  return steps;
}

function treatment(
  ago: number,
  put: Pick<Contact, "mix" | "technique" | "volumeMl"> & { readonly plant: string; readonly caseId: string | null },
  { at, idOf, formOf }: Pick<Loading, "at" | "idOf" | "formOf">,
): Step {
  const { plant, caseId, ...contact } = put;
  return {
    ...{ ago, order: 3 },
    act: async () => {
      const context = at(ago, "20:00");
      const spots = spotsFor(contact.technique, formOf(plant));
      const filed = { plantId: idOf("plant", plant), placeId: null, caseId, stepId: null };
      const act = {
        kind: "contact" as const,
        ...contact,
        spots,
        ...(contact.technique === "dab" && { tool: "loupe" as const }),
      };
      const id = idOf("treat", plant, ago);
      // The seasons of the day it is loaded on are not those of the day it was done.
      expectOk(await recordAct(context, { id, ...filed, act, at: context.now, note: "", alreadyDone: true }));
    },
  };
}

function roundSteps({ at, idOf, formOf }: Loading): Step[] {
  const { begun, days, ended, mix, technique, volumeMl } = round;
  const placeId = idOf("place", "terrace");
  const evening = { dryingPots: 8, minutes: 60, helpers: 1 };
  const chosen = {
    programme: "prevention",
    mix,
    technique,
    who: "all",
    everyDays: 30,
    fromMonth: 1,
    untilMonth: 12,
  } as const;
  const begin = async () =>
    void expectOk(
      await beginProgramme(at(begun, "18:00"), { id: idOf("round"), placeId, chosen: { ...chosen, ...evening } }),
    );
  const end = async () =>
    void expectOk(
      await endProgramme(at(ended, "18:00"), {
        ...{ id: idOf("round", "over"), programme: "prevention", placeId, outcome: "done" },
        note: "The looks say more than another round would.",
      }),
    );
  const sprayed = days.flatMap((ago) =>
    onTerrace.map((plant) => treatment(ago, { plant, caseId: null, mix, technique, volumeMl }, { at, idOf, formOf })),
  );
  return [{ ago: begun, order: 0, act: begin }, ...sprayed, { ago: ended, order: 0, act: end }];
}

/** The terrace comes in before the cold: to the boat shed, within four weeks. */
const wintering = { begun: 2, movesIn: 28, coldestC: 5, weeks: 4 } as const;

function winteringSteps({ at, idOf }: Loading): Step[] {
  const { begun, movesIn, ...said } = wintering;
  const context = at(begun, "18:30");
  const to = { toPlaceId: idOf("place", "shedBench"), moveOn: addDays(today(at(0, "12:00")), movesIn) };
  const chosen = {
    programme: "wintering",
    remedy: "soap",
    ...said,
    ...to,
    dryingPots: 4,
    minutes: 90,
    helpers: 1,
  } as const;
  const act = async () =>
    void expectOk(await beginProgramme(context, { id: idOf("wintering"), placeId: idOf("place", "terrace"), chosen }));
  return [{ ago: begun, order: 0, act }];
}

function told({ at, idOf }: Loading): Step[] {
  return reactions.map(({ plant, ago, ...said }) => ({
    ...{ ago, order: 5 },
    act: async () => {
      const context = at(ago, "21:00");
      const id = idOf("reaction", plant, ago);
      expectOk(await recordReaction(context, { id, plantId: idOf("plant", plant), at: context.now, ...said }));
    },
  }));
}
