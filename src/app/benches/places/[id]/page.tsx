import { cachedBeside } from "@/app/_parts/server/pageCache";
import { NotRead } from "@/ui/NotRead";
import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { Strike } from "@/app/_parts/Strike";
import { standing } from "@/core/record/facts/facts";
import { readFeeding } from "@/operations/seasons/queries/readFeeding";
import { AsOf } from "@/app/_parts/AsOf";
import { Panel } from "@/ui/Panel";
import { RecordLine } from "@/ui/record/RecordLine";
import { recordEntries } from "@/ui/record/entries";
import { placeKindNames } from "@/wording/names/names";
import { feedsSentence } from "@/wording/advice/seasons/seasons";
import { warmthInWords } from "@/wording/names/warmth";
import { EditPlaceForm, ReadingForm } from "../_parts/PlaceForms";
import { PlacePhoto } from "./_parts/PlacePhoto";
import { placeOf } from "./_parts/placeOf";

export const metadata: Metadata = { title: "Place" };

export default async function PlacePage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, now } = await placeOf(params);
  const { place, readings, acts, photos, counts, programmes, endings } = view;
  const feeding = await cachedBeside(`${context.collection.id} feeding ${place.id}`, () =>
    readFeeding(context, place.id),
  );
  const { units } = context.collection;
  const photo = standing(photos).findLast(({ countId }) => countId === null);
  const entries = recordEntries(
    "place",
    {
      ...{ reading: readings, act: acts, placePhoto: photos, trapCount: counts },
      ...{ roomProgramme: programmes, roomEnding: endings },
    },
    { places: [place], units },
  );
  return (
    <>
      <AsOf />
      <div className="d-flex flex-wrap gap-2 align-items-center mb-3">
        <div className="me-auto">
          <h1 className="mb-0">{place.name}</h1>
          <p className="mb-0">
            {placeKindNames[place.kind]}, {warmthInWords(place.meanC, units)}
          </p>
        </div>
        <Link className="btn btn-outline-primary" href={`/session?who=place&id=${place.id}`}>
          Treat its plants
        </Link>
        <Link className="btn btn-outline-primary" href={`/benches/places/${place.id}/act`}>
          Record a treatment
        </Link>
      </div>
      <div className="row gx-3">
        <div className="col-lg-5">
          <Panel title="How warm it is">
            <ReadingForm placeId={place.id} now={now} />
          </Panel>
          <Panel title="Air and pests">
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
            {!feeding && <NotRead what="What makes trouble likely here" />}
            {feeding && feeding.length > 0 && (
              <>
                <h3 className="fs-6 mt-3">What makes trouble likely here</h3>
                <ul className="mb-0 ps-3">
                  {feeding.map((one) => (
                    <li key={one.code}>{feedsSentence(one, units)}</li>
                  ))}
                </ul>
              </>
            )}
          </Panel>
          <Panel title="Photo">
            <PlacePhoto placeId={place.id} photoId={photo?.id ?? null} name={place.name} />
          </Panel>
          {place.kind !== "bag" && (
            <Panel title="Details">
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
