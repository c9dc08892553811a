import type { GrowthFormId } from "@/core/knowledge/plants/growthForms";
import { airPlant } from "./drawings/airPlant";
import { cane } from "./drawings/cane";
import { caudexSucculent } from "./drawings/caudexSucculent";
import { climbingAroid } from "./drawings/climbingAroid";
import { clumpingFoliage } from "./drawings/clumpingFoliage";
import { columnarCactus } from "./drawings/columnarCactus";
import { fanOrchid } from "./drawings/fanOrchid";
import { fern } from "./drawings/fern";
import { jointedCactus } from "./drawings/jointedCactus";
import { palm } from "./drawings/palm";
import { pseudobulbOrchid } from "./drawings/pseudobulbOrchid";
import { rosetteSucculent } from "./drawings/rosetteSucculent";
import type { Form } from "./shapes";
import { softHerb } from "./drawings/softHerb";
import { stemSucculent } from "./drawings/stemSucculent";
import { strapBulb } from "./drawings/strapBulb";
import { tankBromeliad } from "./drawings/tankBromeliad";
import { trailingVine } from "./drawings/trailingVine";
import { tubercledCactus } from "./drawings/tubercledCactus";
import { uprightShrub } from "./drawings/uprightShrub";

/** One drawing per growth form; a form without one, or one with a spot too many or too few, does not compile. */
export const drawings: { readonly [F in GrowthFormId]: Form<F> } = {
  rosetteSucculent,
  tubercledCactus,
  columnarCactus,
  jointedCactus,
  stemSucculent,
  caudexSucculent,
  climbingAroid,
  trailingVine,
  clumpingFoliage,
  uprightShrub,
  cane,
  palm,
  fern,
  pseudobulbOrchid,
  fanOrchid,
  tankBromeliad,
  airPlant,
  softHerb,
  strapBulb,
};
