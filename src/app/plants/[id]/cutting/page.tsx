import type { Metadata } from "next";
import Link from "next/link";
import { AddPlantForm } from "@/app/plants/_parts/PlantForm";
import { nextCodes } from "@/core/plants/codes";
import { isCut } from "@/core/plants/growthForms";
import { readForAdding } from "@/operations/readForAdding";
import { pestNames } from "@/wording/names";
import { plantOf } from "../_parts/plantOf";

export const metadata: Metadata = { title: "Take a cutting" };

export default async function CuttingPage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, today } = await plantOf(params);
  const { plant } = view;
  const { places, codes } = await readForAdding(context);
  // A cutting of a plant that has something starts apart from it and from all others.
  const place = places.find(({ kind }) => kind === "isolation") ?? places[0];
  const has = view.open.map(({ found }) => pestNames[found.pest].toLowerCase()).join(", ");
  return (
    <>
      <h1>
        A cutting of {plant.code} {plant.name}
      </h1>
      <div className="alert alert-warning" role="note">
        <ul className="mb-0 ps-3">
          <li>
            Take a shoot on which you see nothing, with lamp and loupe, from as far off the find as there is. No roots
            and no old mix go with it.
          </li>
          <li>Wipe the blade with alcohol before you cut. Rinse the cutting under running water, every joint.</li>
          <li>A new pot, new mix, its own saucer, apart from its mother and from all others.</li>
          {has && (
            <li>Its mother has {has}: what may have gone with it is reckoned, and shrinks with each clean look.</li>
          )}
          {view.open[0] && (
            <li>
              The rest is given up afterwards: bag it, bin it, and{" "}
              <Link href={`/cases/${view.open[0].found.id}/close`}>close its case</Link>.
            </li>
          )}
          {!isCut(plant.growthForm) && <li>This form seldom grows on from a cutting: offsets or division do.</li>}
        </ul>
      </div>
      {place ? (
        <AddPlantForm
          places={places}
          placeId={place.id}
          code={nextCodes(codes, 1)[0]!}
          mother={{ ...plant, cutOn: today }}
        />
      ) : (
        <p>
          There is no place yet for it to stand. <Link href="/benches/places/new">Add a place</Link> first.
        </p>
      )}
    </>
  );
}
