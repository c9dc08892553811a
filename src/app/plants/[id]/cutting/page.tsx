import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { AddPlantForm } from "@/app/plants/_parts/PlantForm";
import { nextCodes } from "@/core/knowledge/plants/codes";
import { isCut } from "@/core/knowledge/plants/growthForms";
import { readForAdding } from "@/operations/plants/queries/readForAdding";
import { pestNames } from "@/wording/names/names";
import { plantOf } from "../_parts/plantOf";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

export const metadata: Metadata = { title: "Take a cutting" };

export default async function CuttingPage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, today } = await plantOf(params);
  const { plant } = view;
  const { places, codes } = await cachedView(context, "adding", () => readForAdding(context));
  // A cutting of a plant that has something starts apart from it and from all others.
  const place = places.find(({ kind }) => kind === "isolation") ?? places[0];
  const has = view.open.map(({ found }) => pestNames[found.pest].toLowerCase()).join(", ");
  return (
    <>
      <h1>
        A cutting of {plant.code} {plant.name}
      </h1>
      <AsOf />
      <div className="alert alert-warning" role="note">
        <ul className="mb-0 ps-3">
          <li>
            Take a shoot on which you see nothing with lamp and loupe, as far from the find as possible. No roots and no
            old mix go with it.
          </li>
          <li>Wipe the blade with alcohol before you cut. Rinse the cutting under running water, every joint.</li>
          <li>A new pot, new mix and its own saucer, away from its mother and all other plants.</li>
          {has && (
            <li>
              The mother plant has {has}: what may have come along is taken into account, and becomes less likely with
              each clean look.
            </li>
          )}
          {view.open[0] && (
            <li>
              Afterwards give up the rest: bag it, bin it, and{" "}
              <Link href={`/cases/${view.open[0].found.id}/close`}>close its case</Link>.
            </li>
          )}
          {!isCut(plant.growthForm) && <li>This form seldom roots from a cutting: use offsets or division.</li>}
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
          There is no place for it yet. <Link href="/benches/places/new">Add a place</Link> first.
        </p>
      )}
    </>
  );
}
