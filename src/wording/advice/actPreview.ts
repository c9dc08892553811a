import type { AheadId } from "@/core/acts/kind";

export const aheadNames: Record<AheadId, string> = {
  water: "first water after its roots were washed",
  systemicActs: "the systemic starts to work",
  systemicEnds: "the systemic has done most of its work",
  renewHelpers: "renew the beneficials: they are dying off",
  helpersGone: "sprays and dust possible again, unless you release more beneficials",
  freeForHelpers: "safe for beneficials",
};
