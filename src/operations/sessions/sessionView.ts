import type { Act } from "@/core/acts/acts";
import type { WorkId } from "@/core/acts/workIds";
import type { Level } from "@/core/advice/household/cupboard";
import type { Paces } from "@/core/advice/sessions/pace";
import type { SessionPlant, SessionStep } from "@/core/advice/sessions/session";
import type { WinterStepId } from "@/core/advice/seasons/wintering";
import type { MixId } from "@/core/knowledge/mixes/mixes";
import type { PlantCard } from "@/core/schedule/state/plantCard";

/** What plans ask for of one mix or one work: what may be done for many at once, and what is done plant by plant. */
export type DueStepId = `${"due" | "each"} ${MixId | WorkId}`;

/** A step for which it is known what is done. */
export type GivenStepId = WinterStepId | "round" | DueStepId;

/** A plant of a session, with everything that is shown of it. */
export interface GroupPlant extends SessionPlant {
  readonly card: PlantCard;
  readonly placeId: string;
  readonly placeName: string;
  /** Minutes of hands that all of its steps take, where its programme has reckoned them; null elsewhere. */
  readonly minutes: number | null;
  /** What a session may have written of it already: today, or since the programme that asks for it began. */
  readonly lately: { readonly acts: readonly { readonly id: string; readonly act: Act }[]; readonly looked: boolean };
}

/** What a session is run from. */
export interface SessionView {
  readonly plants: readonly GroupPlant[];
  /** What is done to them, where that is known; null where the keeper chooses. */
  readonly steps: readonly SessionStep<GivenStepId>[] | null;
  /** How fast the keepers' own hands are. */
  readonly paces: Paces;
  /** How their bottles stand; empty where nobody keeps a cupboard. */
  readonly levels: readonly Level[];
}
