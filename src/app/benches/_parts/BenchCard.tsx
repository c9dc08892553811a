"use client";

import { Link } from "@/ui/Link";
import Offcanvas from "react-bootstrap/Offcanvas";
import { Flower } from "@/ui/mark/Flower";
import { percent } from "@/wording/advice/chances";
import { stateInWords } from "@/wording/names/states";
import { besides, type ShelfPlant } from "./shelves";

/** A plant's card: how it stands, what it may carry, and the next presses. */
export function BenchCard({ plant, onClose }: { plant: ShelfPlant | null; onClose: () => void }) {
  return (
    <Offcanvas show={plant !== null} onHide={onClose} placement="end" aria-labelledby="bench-card">
      {plant && (
        <>
          <Offcanvas.Header closeButton>
            <Offcanvas.Title id="bench-card" as="h2">
              {plant.code} {plant.name}
            </Offcanvas.Title>
          </Offcanvas.Header>
          <Offcanvas.Body>
            <p className="d-flex gap-3 align-items-center fs-5">
              <Flower state={plant.state} petals={plant.petals} apart={plant.apart} silent />
              {stateInWords(plant.state, plant.petals, plant.apart, plant.beside && besides[plant.beside])}
            </p>
            <p>
              {plant.carries === null
                ? "How likely it is to carry something unseen is being worked out."
                : `${percent(plant.carries)} that it carries a pest unseen.`}
            </p>
            <div className="d-grid gap-2">
              <Link className="btn btn-primary" href={`/plants/${plant.id}`}>
                Open
              </Link>
              <Link className="btn btn-outline-primary" href={`/plants/${plant.id}/look`}>
                Look
              </Link>
              {!plant.apart && (
                <Link className="btn btn-outline-primary" href={`/plants/${plant.id}/apart`}>
                  Set apart
                </Link>
              )}
              <Link className="btn btn-outline-primary" href={`/plants/${plant.id}/move`}>
                {plant.apart ? "Bring back" : "Move to another place"}
              </Link>
            </div>
          </Offcanvas.Body>
        </>
      )}
    </Offcanvas>
  );
}
