"use client";

import { Link } from "@/ui/Link";
import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import { useWatch, type UseFormReturn } from "react-hook-form";
import { v7 as uuidv7 } from "uuid";
import { addPlaceAction } from "@/app/_parts/actions";
import { usePress } from "@/app/_parts/usePress";
import type { Plants, Row } from "./rows";

/** Places that a list names and that are not there: they are made with one press. */
export function NewPlaces({
  form,
  meant,
  room,
  onMade,
}: {
  form: UseFormReturn<Plants>;
  /** What the place of a row is called, by the row's id. */
  meant: ReadonlyMap<string, string>;
  /** Where they come to stand; null where there is no room yet. */
  room: { readonly id: string; readonly name: string } | null;
  onMade: (place: { readonly id: string; readonly name: string }) => void;
}) {
  const rows = useWatch({ control: form.control, name: "plants" }) as Row[];
  const { press, trouble, going } = usePress(addPlaceAction);
  // Sent once more, it is the same place.
  const [ids] = useState(() => new Map<string, { readonly id: string; readonly readingId: string }>());
  const named = (row: Row) => (row.placeId === "" ? meant.get(row.id) : undefined);
  const names = [
    ...new Map(rows.flatMap((row) => named(row) ?? []).map((name) => [name.toLowerCase(), name])).values(),
  ];
  if (names.length === 0) return null;
  const make = async () => {
    for (const name of names) {
      const own = ids.get(name) ?? { id: uuidv7(), readingId: uuidv7() };
      ids.set(name, own);
      const place = { kind: "shelf" as const, parentId: room?.id ?? "", celsius: "" as never, name };
      if (!(await press({ ...own, ...place }))) return;
      onMade({ id: own.id, name });
      for (const [i, row] of form.getValues("plants").entries())
        if (row.placeId === "" && meant.get(row.id)?.toLowerCase() === name.toLowerCase())
          form.setValue(`plants.${i}.placeId`, own.id);
    }
    void form.trigger("plants");
  };
  return (
    <Alert variant="warning">
      <p className="mb-2">Your list names places that do not exist yet: {names.join(", ")}.</p>
      {room ? (
        <Button disabled={going} onClick={() => void make()}>
          {names.length === 1
            ? `Add it as a shelf of ${room.name}`
            : `Add them as ${names.length} shelves of ${room.name}`}
        </Button>
      ) : (
        <Link href="/benches/places/new">Add a room first</Link>
      )}
      {trouble && (
        <p className="fw-semibold mt-2 mb-0" role="alert">
          {trouble}
        </p>
      )}
    </Alert>
  );
}
