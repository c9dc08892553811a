import type { PlantState } from "@/core/knowledge/plants/states";
import { stateInWords } from "@/wording/names/states";

interface Props {
  state: PlantState;
  petals?: number;
  apart?: boolean;
  size?: "small" | "usual" | "large";
  /** Set where the state stands in words beside the mark. */
  silent?: boolean;
}

/** The one mark that carries a plant's state: a flower, a bud or a sprout, under a bell jar when set apart. */
export function Flower({ state, petals = 0, apart = false, size = "usual", silent = false }: Props) {
  const mark = state === "surer" ? `#mark-surer-${petals}` : `#mark-${state}`;
  const label = silent
    ? { "aria-hidden": true as const }
    : { role: "img", "aria-label": stateInWords(state, petals, apart) };
  return (
    <svg className={`flower flower-${size} flower-${state}`} viewBox="0 0 96 96" {...label}>
      {apart ? (
        <>
          <use href={mark} x="17" y="22" width="62" height="62" />
          <use href="#mark-jar" width="96" height="96" />
        </>
      ) : (
        <use href={mark} width="96" height="96" />
      )}
    </svg>
  );
}
