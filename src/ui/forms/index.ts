import type { GrowthFormId } from "@/core/plants/growthForms";
import { airPlant } from "./airPlant";
import { cane } from "./cane";
import { caudexSucculent } from "./caudexSucculent";
import { climbingAroid } from "./climbingAroid";
import { clumpingFoliage } from "./clumpingFoliage";
import { columnarCactus } from "./columnarCactus";
import { fanOrchid } from "./fanOrchid";
import { fern } from "./fern";
import { jointedCactus } from "./jointedCactus";
import { palm } from "./palm";
import { pseudobulbOrchid } from "./pseudobulbOrchid";
import { rosetteSucculent } from "./rosetteSucculent";
import type { Form } from "./shapes";
import { softHerb } from "./softHerb";
import { stemSucculent } from "./stemSucculent";
import { strapBulb } from "./strapBulb";
import { tankBromeliad } from "./tankBromeliad";
import { trailingVine } from "./trailingVine";
import { tubercledCactus } from "./tubercledCactus";
import { uprightShrub } from "./uprightShrub";

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
