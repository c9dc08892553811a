import type { Fact, FactKindId } from "@/core/record/facts/facts";
import type { Place } from "@/core/record/facts/descriptions";
import type { SignId } from "@/core/knowledge/signs/signs";
import { plannedName, tellAct } from "../names/acts";
import {
  mixNames,
  outcomeNames,
  pestName,
  pestNames,
  reactionNames,
  schoolNames,
  severityNames,
  spotNames,
  stageNames,
  suspectName,
  techniqueNames,
  toolNames,
} from "../names/names";
import { dayCount } from "../dates";
import {
  chosenInWords,
  countedNames,
  fliesInWords,
  larvaeInWords,
  programmeEndNames,
  roomProgrammeNames,
} from "../advice/seasons/seasons";
import { signNames } from "../names/signs";
import { warmthIn, type Units } from "../units";
import { skipReasonNames } from "../names/walks";

/** A fact as a line of a record: what it is, and what is told beside it; empty details are left out. */
export type Told = readonly [what: string, ...details: string[]];

/** What the words of a record need beside the fact itself. */
export interface Around {
  readonly units: Units;
  readonly places: readonly Pick<Place, "id" | "name">[];
}

const placeName = ({ places }: Around, id: string) => places.find((place) => place.id === id)?.name ?? "a place";
const spotsInWords = (spots: readonly (keyof typeof spotNames)[]) =>
  spots.map((spot) => spotNames[spot].toLowerCase()).join("; ");

/** How each kind of fact is told. */
export const tell: { readonly [K in FactKindId]: (fact: Fact<K>, around: Around) => Told } = {
  look: (look) => {
    const found = look.finds.map((find) => {
      const number = find.count === null ? severityNames[find.severity].toLowerCase() : `${find.count} live`;
      const stages = find.stages.map((stage) => `, ${stageNames[stage]}`).join("");
      const spots = find.spots.length > 0 ? `, on ${spotsInWords(find.spots)}` : "";
      return `${pestNames[find.pest]}, ${number}${stages}${spots}${find.removed ? ", killed on the spot" : ""}`;
    });
    const side = look.turned ? "" : "; one side only";
    return [
      found.length > 0 ? `Found: ${found.join("; ")}` : "Looked: nothing found",
      `${toolNames[look.tool]}: ${spotsInWords(look.spots)}${side}`,
      tellNaming(look),
      look.newLeaves === null ? "" : `${look.newLeaves} new leaves without a mark`,
      look.note,
    ];
  },
  reaction: ({ what, mix, technique, note }) => [
    `${reactionNames[what]} after ${mixNames[mix].toLowerCase()}`,
    techniqueNames[technique],
    note,
  ],
  act: ({ act, placeId, note }, around) => {
    const [what, ...details] = tellAct(act, around.units);
    return [placeId ? `${what}, at ${placeName(around, placeId)}` : what, ...details, note];
  },
  placement: ({ placeId }, around) => [`Placed: ${placeName(around, placeId)}`],
  programme: ({ steps, basis, pest }) => {
    const doses = steps.flatMap((step) => (step.dose ? [plannedName(step.dose)] : []));
    const times = doses.length === 1 ? "1 time" : `${doses.length} times`;
    return [`Plan against ${pestName(pest)}: ${[...new Set(doses)].join(", then ")}, ${times}`, schoolNames[basis]];
  },
  closing: ({ pest, outcome, note }) => [
    `Case closed: ${pestNames[pest].toLowerCase()}, ${outcomeNames[outcome].toLowerCase()}`,
    note,
  ],
  skip: ({ reason }) => [`Skipped on a walk: ${skipReasonNames[reason].toLowerCase()}`],
  photo: () => ["Photo"],
  placePhoto: ({ countId }) => [countId === null ? "Photo of the place" : "Photo of a sticky card"],
  cleaning: () => ["Hands and tools cleaned"],
  reading: ({ celsius, humidity, source }, { units }) => [
    source === "about"
      ? `Set to about ${warmthIn(celsius, units)} from then on`
      : `${warmthIn(celsius, units)} on the thermometer`,
    humidity === null ? "" : `${humidity} % humidity`,
  ],
  climateDay: ({ minC, maxC, meanC, humidity }, { units }) => [
    `${warmthIn(meanC, units)} on average, ${warmthIn(minC, units)} to ${warmthIn(maxC, units)}`,
    humidity === null ? "" : `${Math.round(humidity)} % humidity`,
  ],
  trapCount: ({ what, count, days }) => [
    `${countedNames[what]}: ${what === "slice" ? larvaeInWords(count) : fliesInWords(count)}`,
    `over ${dayCount(days)}`,
  ],
  roomProgramme: ({ chosen }) => [`${roomProgrammeNames[chosen.programme]}: chosen`, ...chosenInWords(chosen)],
  roomEnding: ({ programme, outcome, note }) => [
    `${roomProgrammeNames[programme]}: ${programmeEndNames[outcome].toLowerCase()}`,
    note,
  ],
};

function tellNaming({ naming }: Fact<"look">): string {
  if (!naming) return "";
  // Without a sign looked for, nothing spoke for anything.
  if (naming.present.length + naming.absent.length === 0) return "Named by you";
  const spokeFor = naming.likeliest ? suspectName(naming.likeliest).toLowerCase() : "none of these";
  const listed = (what: string, signs: readonly SignId[]) =>
    signs.length > 0 ? [`${what}: ${signs.map((sign) => signNames[sign]).join("; ")}`] : [];
  if (naming.open)
    return ["Left unnamed", ...listed("Present", naming.present), ...listed("Not present", naming.absent)].join(". ");
  const who = naming.by === "keeper" ? `Named by you; the signs pointed to ${spokeFor}` : "Named by its signs";
  return [who, ...listed("Present", naming.present), ...listed("Not present", naming.absent)].join(". ");
}
