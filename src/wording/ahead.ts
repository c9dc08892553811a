import type { AheadId } from "@/core/acts/kind";

export const aheadNames: Record<AheadId, string> = {
  water: "first water after its roots were washed",
  systemicActs: "what its roots took up begins to act",
  systemicEnds: "what its roots took up has done most of its work",
  renewHelpers: "renew the helpful animals: they begin to fade",
  helpersGone: "sprays and dust again, if no more helpful animals are let loose",
  freeForHelpers: "free for helpful animals",
};
