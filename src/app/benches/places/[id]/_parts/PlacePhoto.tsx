"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import Form from "react-bootstrap/Form";
import { v7 as uuidv7 } from "uuid";
import { PHOTO_LIMIT_MB } from "@/core/record/facts/kinds/photo";
import type { CommandResult } from "@/offline/commandResult";
import { useCollection } from "@/ui/shell/Collection";

/** A photo of the shelf as it stands, beside the drawing of it. */
export function PlacePhoto({ placeId, photoId, name }: { placeId: string; photoId: string | null; name: string }) {
  const router = useRouter();
  const { id: collectionId } = useCollection();
  const [said, setSaid] = useState<{ readonly wrong: boolean; readonly text: string } | null>(null);
  const send = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > PHOTO_LIMIT_MB * 1024 * 1024)
      return setSaid({ wrong: true, text: `This photo is larger than ${PHOTO_LIMIT_MB} MB. Choose a smaller one.` });
    setSaid({ wrong: false, text: "Sending …" });
    const request = { method: "PUT", body: file, headers: { "x-collection": collectionId } };
    const response = await fetch(`/benches/places/${placeId}/photos/${uuidv7()}`, request).catch(() => null);
    const result = response && ((await response.json().catch(() => null)) as CommandResult | null);
    if (result?.ok) {
      setSaid({ wrong: false, text: "Kept." });
      router.refresh();
    } else
      setSaid({
        wrong: true,
        text: (result && result.problems[0]?.message) ?? "It could not be sent: choose it again.",
      });
  };
  return (
    <>
      {photoId && (
        // Scaled down when it was kept, and served from this machine: nothing is left to optimise.
        // eslint-disable-next-line @next/next/no-img-element
        <img className="img-fluid rounded mb-2" src={`/photos/${photoId}`} alt={`${name} as it stood`} loading="lazy" />
      )}
      <Form.Label htmlFor="place-photo" className="fw-semibold mb-1">
        A photo of it
      </Form.Label>
      <Form.Control
        id="place-photo"
        type="file"
        accept="image/*"
        aria-describedby="place-photo-said"
        onChange={(event) => void send((event.target as HTMLInputElement).files?.[0])}
      />
      <p
        id="place-photo-said"
        role={said?.wrong ? "alert" : "status"}
        className={`mb-0 small ${said?.wrong ? "text-danger-emphasis fw-semibold" : ""}`}
      >
        {said?.text ?? "It is made smaller, and the location is removed from it."}
      </p>
    </>
  );
}
