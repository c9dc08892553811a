import { keptBeside } from "@/app/_parts/kept";
import { NotRead } from "@/ui/NotRead";
import type { Metadata } from "next";
import Link from "next/link";
import { Strike } from "@/app/_parts/Strike";
import { standing } from "@/core/facts/facts";
import { readFeeding } from "@/operations/readFeeding";
import { AsOf } from "@/ui/AsOf";
import { Panel } from "@/ui/Panel";
import { RecordLine } from "@/ui/record/RecordLine";
import { recordEntries } from "@/ui/record/entries";
import { placeKindNames } from "@/wording/names";
import { feedsSentence } from "@/wording/rooms";
import { warmthInWords } from "@/wording/warmth";
import { EditPlaceForm, ReadingForm } from "../_parts/PlaceForms";
import { PlacePhoto } from "./_parts/PlacePhoto";
import { placeOf } from "./_parts/placeOf";

export const metadata: Metadata = { title: "Place" };

export default async function PlacePage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, asOf, now } = await placeOf(params);
  const { place, readings, acts, photos, counts, programmes, endings } = view;
  const feeding = await keptBeside(`${context.collection.id} feeding ${place.id}`, () =>
    readFeeding(context, place.id),
  );
  const photo = standing(photos).at(-1);
  const entries = recordEntries(
    "place",
    {
      ...{ reading: readings, act: acts, placePhoto: photos, trapCount: counts },
      ...{ roomProgramme: programmes, roomEnding: endings },
    },
    { places: [place] },
  );
  return (
    <>
      <AsOf at={asOf} timeZone={context.collection.timeZone} />
      <div className="d-flex flex-wrap gap-2 align-items-center mb-3">
        <div className="me-auto">
          <h1 className="mb-0">{place.name}</h1>
          <p className="mb-0">
            {placeKindNames[place.kind]}, {warmthInWords(place.meanC)}
          </p>
        </div>
        <Link className="btn btn-outline-primary" href={`/session?who=place&id=${place.id}`}>
          Treat its plants
        </Link>
        <Link className="btn btn-outline-primary" href={`/benches/places/${place.id}/act`}>
          Write down an act
        </Link>
      </div>
      <div className="row gx-3">
        <div className="col-lg-5">
          <Panel title="How warm it is">
            <ReadingForm placeId={place.id} now={now} />
          </Panel>
          <Panel title="Air and what lives in it">
            <div className="d-flex flex-wrap gap-2">
              <Link className="btn btn-outline-primary" href={`/benches/places/${place.id}/climate`}>
                The air over a year
              </Link>
              {place.kind !== "bag" && (
                <Link className="btn btn-outline-primary" href={`/benches/places/${place.id}/gnats`}>
                  Gnats
                </Link>
              )}
            </div>
            {!feeding && <NotRead what="What feeds the trouble here" />}
            {feeding && feeding.length > 0 && (
              <>
                <h3 className="fs-6 mt-3">What feeds the trouble here</h3>
                <ul className="mb-0 ps-3">
                  {feeding.map((one) => (
                    <li key={one.code}>{feedsSentence(one)}</li>
                  ))}
                </ul>
              </>
            )}
          </Panel>
          <Panel title="As it stands">
            <PlacePhoto placeId={place.id} photoId={photo?.id ?? null} name={place.name} />
          </Panel>
          {place.kind !== "bag" && (
            <Panel title="What it is like">
              <EditPlaceForm place={place} others={view.others} />
            </Panel>
          )}
        </div>
        <div className="col-lg-7">
          <Panel title="Record">
            <RecordLine entries={entries} strike={(entry) => <Strike entry={entry} />} />
          </Panel>
        </div>
      </div>
    </>
  );
}
