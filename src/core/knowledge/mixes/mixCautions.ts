import { remedyOf, type CautionId } from "../remedies/remedies";
import { remediesIn, type MixId } from "./mixes";

/** What must be read before a mix: the cautions of all that is in it, each once. @example cautionsOfMix("soapAlcohol").includes("flammable") // true */
export function cautionsOfMix(mix: MixId): readonly CautionId[] {
  return [...new Set(remediesIn(mix).flatMap((remedy) => remedyOf(remedy).cautions))];
}
