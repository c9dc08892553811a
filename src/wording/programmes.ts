import type { ProgrammeKindId } from "@/core/programmes/programme";

/** Why a look is due. */
export const programmeNames: Record<ProgrammeKindId, string> = {
  casePlan: "for its case",
  guard: "on guard after it was called clear",
  unnamed: "to give its signs a name",
  watch: "it stood beside a find",
  returns: "it has come back at this time of the year before",
  arrival: "it is new here",
  round: "the usual round",
};
