import type { Against } from "@/core/advice/isolation/apartPlaces";

/** What speaks against a place for a plant that is to stand apart. */
export const againstNames: Record<Against, string> = {
  full: "full",
  arrivalsThere: "a new arrival stands there: not beside a find",
  findsThere: "a find stands there: not for one that is clean",
  doorOpen: "its door stands open",
};
