"use client";

import { useState } from "react";
import Form from "react-bootstrap/Form";
import { v7 as uuidv7 } from "uuid";
import { PHOTO_LIMIT_MB } from "@/core/record/facts/kinds/photo";
import { useCollection } from "@/ui/shell/Collection";
import { outbox } from "@/offline/outbox";

/** Takes or chooses a photo and keeps it with a look. One that is too large is refused before it is sent. */
export function PhotoField({ lookId, label, about }: { lookId: string; label: string; about: string }) {
  const { id: collectionId } = useCollection();
  const [said, setSaid] = useState<{ readonly wrong: boolean; readonly text: string } | null>(null);
  const choose = (file: File | undefined) => {
    if (!file) return;
    if (file.size > PHOTO_LIMIT_MB * 1024 * 1024)
      return setSaid({ wrong: true, text: `This photo is larger than ${PHOTO_LIMIT_MB} MB. Choose a smaller one.` });
    outbox.addPhoto({ id: uuidv7(), lookId }, file, { collectionId, about, byClock: false });
    setSaid({ wrong: false, text: "The photo is kept with the look." });
  };
  return (
    <div className="mb-3">
      <Form.Label htmlFor="photo" className="fw-semibold mb-1">
        {label}
      </Form.Label>
      <Form.Control
        id="photo"
        type="file"
        accept="image/*"
        aria-describedby="photo-said"
        onChange={(event) => choose((event.target as HTMLInputElement).files?.[0])}
      />
      <p
        id="photo-said"
        role={said?.wrong ? "alert" : "status"}
        className={`mb-0 small ${said?.wrong ? "text-danger-emphasis fw-semibold" : ""}`}
      >
        {said?.text ?? "It is made smaller, and the location is removed from it."}
      </p>
    </div>
  );
}
