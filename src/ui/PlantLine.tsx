import { Archive } from "lucide-react";
import type { ReactNode } from "react";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import { stateInWords } from "@/wording/names/states";
import { Flower } from "./mark/Flower";
import { LinkIfOpen } from "./shell/Only";

/** A plant in a list: its mark, code and name, its state in words, and what can be done at the end. */
export function PlantLine({ plant, note, children }: { plant: PlantCard; note?: ReactNode; children?: ReactNode }) {
  return (
    <li className="plant-line list-group-item d-flex flex-wrap align-items-center gap-3 px-0">
      {plant.archived ? (
        <Archive className="plant-line-archived" aria-hidden />
      ) : (
        <Flower state={plant.state} petals={plant.petals} apart={plant.apart} silent />
      )}
      <div className="plant-line-text">
        <LinkIfOpen href={`/plants/${plant.id}`} className="fw-semibold">
          {plant.code} {plant.name}
        </LinkIfOpen>
        <div className="small text-body-secondary">
          {plant.archived ? "archived" : stateInWords(plant.state, plant.petals, plant.apart, plant)}
          {note && <> · {note}</>}
        </div>
      </div>
      {children}
    </li>
  );
}
