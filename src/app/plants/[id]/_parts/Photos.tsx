import { Strike } from "@/app/_parts/Strike";
import type { Look, Photo } from "@/core/record/facts/facts";
import { dayAndYear } from "@/wording/dates";

/** What was photographed at looks, the newest first. */
export function Photos({ photos, looks }: { photos: readonly Photo[]; looks: readonly Look[] }) {
  const dayOf = (photo: Photo) => {
    const day = looks.find((look) => look.id === photo.lookId)?.day;
    return day ? dayAndYear(day) : "";
  };
  return (
    <ul className="list-unstyled row g-2 mb-0">
      {photos.toReversed().map((photo) => (
        <li key={photo.id} className="col-6 col-md-4">
          <a href={`/photos/${photo.id}`}>
            {/* Scaled down when it was kept, and served from this machine: nothing is left to optimise. */}
            {/* eslint-disable-next-line @next/next/no-img-element */}
            <img
              className="img-fluid rounded"
              src={`/photos/${photo.id}`}
              width={photo.width}
              height={photo.height}
              loading="lazy"
              alt={`At the look of ${dayOf(photo)}`}
            />
          </a>
          <Strike entry={{ kind: "photo", id: photo.id, what: `Photo of ${dayOf(photo)}` }} />
        </li>
      ))}
    </ul>
  );
}
