"use client";

import { Link } from "@/ui/Link";
import { memo } from "react";
import { Drop, Window } from "@/ui/places/lights";
import { Pot, StandingPot } from "./Pot";
import type { Shelf, ShelfPlant, Spot } from "./shelves";

interface Props {
  readonly shelf: Shelf;
  readonly shaded: boolean;
  readonly onPress: (plant: ShelfPlant) => void;
  /** Where something would be put on this shelf; null while nothing would. */
  readonly spot: Spot | null;
  /** Whether plants can be pressed and carried already. */
  readonly live: boolean;
}

/** One shelf as it stands: its name, its plants from left to right, the board they stand on. */
export const ShelfRow = memo(function ShelfRow({ shelf, shaded, onPress, spot, live }: Props) {
  const { id, name, summary, kind, photoId, light, posted, dripsOn, count, plants } = shelf;
  const next = spot && (spot.after === "first" ? 0 : plants.findIndex((plant) => plant.id === spot.after) + 1);
  return (
    <div className={`shelf shelf-${kind} ${posted ? "shelf-posted" : ""}`} data-shelf={id}>
      <p className="mb-1 small">
        <Link href={`/benches/places/${id}`}>{name}</Link>, {summary}
        {photoId && (
          <>
            ,{" "}
            <a href={`/photos/${photoId}`} className="text-nowrap">
              photo
            </a>
          </>
        )}
      </p>
      {plants.length < count && <p className="small mb-1">Loading its plants …</p>}
      {/* Drawn behind the plants: what it shows is told above. */}
      <div className={`shelf-stage ${light === "lamp" || light === "both" ? "shelf-lit" : ""}`}>
        {(light === "window" || light === "both") && <Window className="shelf-window" />}
        <ul className={`board ${next === plants.length ? "board-gap" : ""}`} aria-label={`${name}, from left to right`}>
          {plants.map((plant, i) =>
            live ? (
              <Pot key={plant.id} plant={plant} shaded={shaded} onPress={onPress} gap={next === i} />
            ) : (
              <StandingPot key={plant.id} plant={plant} />
            ),
          )}
        </ul>
      </div>
      {dripsOn && (
        <p className="shelf-drips small mb-0">
          <Drop />
          <Drop />
          <Drop /> drips onto {dripsOn}
        </p>
      )}
    </div>
  );
});
