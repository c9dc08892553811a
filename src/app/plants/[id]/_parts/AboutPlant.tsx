import { Link } from "@/ui/Link";
import { genusIn } from "@/core/knowledge/plants/genusIn";
import type { Day } from "@/core/shared/days";
import type { readTolerance } from "@/operations/plants/queries/readTolerance";
import { NotRead } from "@/ui/NotRead";
import { Panel } from "@/ui/Panel";
import { PhoneFold } from "@/ui/PhoneFold";
import { borneSentence } from "@/wording/advice/phytotoxicity";
import { dayAndYear } from "@/wording/dates";
import { growthFormNames, sensitivityNames, sourceNames } from "@/wording/names/names";
import { helpersSentence } from "@/wording/names/naturalEnemies";
import { warmthInWords } from "@/wording/names/warmth";
import { widthIn, type Units } from "@/wording/units";
import { ArchiveButton } from "./ArchiveButton";
import type { plantOf } from "./plantOf";

interface Props {
  view: Awaited<ReturnType<typeof plantOf>>["view"];
  /** How others of its kind here bore what they had; null where that could not be read. */
  borne: Awaited<ReturnType<typeof readTolerance>> | null;
  today: Day;
  units: Units;
}

/** Where it stands, what it does not tolerate, its kind, its pot and where it comes from. */
export function AboutPlant({ view, borne, today, units }: Props) {
  const { plant, place } = view;
  const archived = plant.archivedAt !== null;
  const helpersInWords = view.on.bearer.helpers && helpersSentence(view.on.bearer.helpers, today);
  return (
    <Panel title="The plant">
      <dl className="row mb-0">
        <dt className="col-5">Place</dt>
        <dd className="col-7">
          <Link href={`/benches/places/${place.id}`}>{place.name}</Link>, {warmthInWords(place.meanC, units)}
        </dd>
        {view.sensitivities.length > 0 && (
          <>
            <dt className="col-5">Take care</dt>
            <dd className="col-7">
              <ul className="list-unstyled mb-0">
                {view.sensitivities.map(({ id, from }) => (
                  <li key={id}>
                    {sensitivityNames[id]} <span className="text-body-secondary">({sourceNames[from]})</span>
                  </li>
                ))}
              </ul>
            </dd>
          </>
        )}
      </dl>
      <PhoneFold summary="Its kind, pot and origin">
        <dl className="row mb-0">
          <dt className="col-5">Growth form</dt>
          <dd className="col-7">{growthFormNames[plant.growthForm]}</dd>
          <dt className="col-5">Genus</dt>
          <dd className="col-7">
            {plant.genus || "not recorded"}
            {genusIn(plant.genus)?.uncertain && " (we are not certain about this genus: test one leaf)"}
          </dd>
          <dt className="col-5">Pot</dt>
          <dd className="col-7">{widthIn(plant.potCm, units)}</dd>
          <dt className="col-5">Acquired</dt>
          <dd className="col-7">{plant.acquiredOn ? dayAndYear(plant.acquiredOn) : "not recorded"}</dd>
          {view.mother ? (
            <>
              <dt className="col-5">Cut from</dt>
              <dd className="col-7">
                <Link href={`/plants/${view.mother.id}`}>
                  {view.mother.code} {view.mother.name}
                </Link>
              </dd>
            </>
          ) : (
            <>
              <dt className="col-5">Seller</dt>
              <dd className="col-7">{plant.seller || "not recorded"}</dd>
            </>
          )}
          {view.cuttings.length > 0 && (
            <>
              <dt className="col-5">Cuttings from it</dt>
              <dd className="col-7">
                <ul className="list-unstyled mb-0">
                  {view.cuttings.map(({ id, code, name }) => (
                    <li key={id}>
                      <Link href={`/plants/${id}`}>
                        {code} {name}
                      </Link>
                    </li>
                  ))}
                </ul>
              </dd>
            </>
          )}
          {helpersInWords && (
            <>
              <dt className="col-5">Beneficials</dt>
              <dd className="col-7">{helpersInWords}</dd>
            </>
          )}
          {!borne && <NotRead what="How others of its kind reacted" />}
          {borne && borne.length > 0 && (
            <>
              <dt className="col-5">Its kind here</dt>
              <dd className="col-7">
                <ul className="list-unstyled mb-0">
                  {borne.map((one) => (
                    <li key={one.mix}>{borneSentence(one)}</li>
                  ))}
                </ul>
              </dd>
            </>
          )}
        </dl>
      </PhoneFold>
      {!archived && (
        <p className="mb-2">
          <Link href={`/plants/${plant.id}/cutting`}>Take a cutting</Link>
        </p>
      )}
      <p className="mb-2">
        <Link href={`/plants/${plant.id}/reaction`}>How it reacted to a treatment</Link>
      </p>
      <ArchiveButton plantId={plant.id} archived={archived} />
    </Panel>
  );
}
