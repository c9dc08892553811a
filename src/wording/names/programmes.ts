import type { ProgrammeKindId } from "@/core/schedule/programmes/programme";

/** Why a look is due. */
export const programmeNames: Record<ProgrammeKindId, string> = {
  casePlan: "for its case",
  guard: "watched since it was called clear",
  unnamed: "to name its signs",
  watch: "it stood next to a find",
  returns: "it has come back at this time of year before",
  arrival: "it is new here",
  round: "the usual round",
};
