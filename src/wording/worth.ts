import type { Worth } from "@/core/plants/worth";

export const worthNames: Record<Worth, string> = {
  replaceable: "Replaceable",
  dear: "Dear",
  irreplaceable: "Irreplaceable",
};
