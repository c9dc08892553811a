"use client";

import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { X } from "lucide-react";
import { useLayoutEffect, useRef, useState } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import { get, useWatch, type UseFormReturn } from "react-hook-form";
import { genusIn } from "@/core/knowledge/plants/genusIn";
import { growthFormIds } from "@/core/knowledge/plants/growthForms";
import { FieldList, quantity, select, text } from "@/ui/fields/FieldList";
import { named } from "@/ui/fields/options";
import { growthFormNames } from "@/wording/names/names";
import type { Plants, Row } from "./rows";
import { useUnits } from "@/ui/shell/Collection";
import { widthIn } from "@/wording/units";

type Places = readonly { readonly id: string; readonly name: string }[];

/** About how high a row is that is not open, px. */
const ROW_PX = 120;

/** How wide the fields of an open row are. */
const BELOW = ["col-sm-6", "col-sm-6", "col-sm-6", "col-6 col-sm-3", "col-6 col-sm-3", "col-12"];

/** Of more rows than this the wrong one is likely to be out of sight. */
const MANY = 5;

/** The rows of the table; of hundreds only those on the screen are drawn. */
export function PlantRows({
  keys,
  form,
  places,
  onRemove,
}: {
  keys: readonly string[];
  form: UseFormReturn<Plants>;
  places: Places;
  onRemove: (i: number) => void;
}) {
  const list = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    const now = list.current ? list.current.getBoundingClientRect().top + window.scrollY : 0;
    setTop(now);
  }, [keys.length]);
  const virtual = useWindowVirtualizer({
    count: keys.length,
    estimateSize: () => ROW_PX,
    getItemKey: (i) => keys[i]!,
    overscan: 6,
    scrollMargin: top,
  });
  const errors = (get(form.formState.errors, "plants") ?? []) as readonly unknown[];
  const wrong = keys.flatMap((_, i) => (errors[i] ? [i] : []));
  return (
    <>
      {wrong.length > 0 && (
        <Alert variant="warning" className="d-flex flex-wrap gap-2 align-items-center">
          <span className="flex-grow-1">
            {wrong.length === 1 ? "1 row needs" : `${wrong.length} rows need`} your attention first. Nothing is added
            until all rows are complete.
          </span>
          {keys.length > MANY && (
            <Button size="sm" onClick={() => virtual.scrollToIndex(wrong[0]!, { align: "center" })}>
              Go to the first
            </Button>
          )}
        </Alert>
      )}
      <div ref={list} className="position-relative mb-2" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ key, index, start }) => (
          <div
            key={key}
            ref={virtual.measureElement}
            data-index={index}
            className="position-absolute w-100"
            style={{ transform: `translateY(${start - top}px)` }}
          >
            <PlantRow form={form} i={index} places={places} onRemove={() => onRemove(index)} />
          </div>
        ))}
      </div>
    </>
  );
}

/** One plant: code and name at once, the rest below a press; that opens by itself where something in it is wrong. */
function PlantRow({
  form,
  i,
  places,
  onRemove,
}: {
  form: UseFormReturn<Plants>;
  i: number;
  places: readonly { readonly id: string; readonly name: string }[];
  onRemove: () => void;
}) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const row = useWatch({ control: form.control, name: `plants.${i}` }) as Row | undefined;
  const wrong = get(form.formState.errors, `plants.${i}`) as Partial<Record<keyof Row, unknown>> | undefined;
  const below = wrong && Object.keys(wrong).some((name) => name !== "code" && name !== "name");
  const name = <K extends keyof Row & string>(field: K) => `plants.${i}.${field}` as const;
  const complete = (typed: string) => {
    const known = genusIn(typed);
    if (known) form.setValue(name("growthForm"), known.form);
  };
  /** A name says what it is, unless the keeper has said it already. */
  const recognise = (typed: string) => {
    const known = genusIn(typed);
    if (!known || row?.genus || row?.growthForm) return;
    form.setValue(name("genus"), known.name);
    form.setValue(name("growthForm"), known.form);
  };
  if (!row) return null;
  const place = places.find(({ id }) => id === row.placeId)?.name ?? "no place yet";
  return (
    <div className="several-row">
      <div className="d-flex gap-2">
        <div className="flex-grow-1">
          <FieldList
            form={form}
            columns={["col-4 col-sm-3", "col-8 col-sm-9"]}
            fields={[text(name("code"), "Code"), text(name("name"), "Name", { onLeft: recognise })]}
          />
        </div>
        <div className="pt-4 mt-1">
          <Button variant="outline-primary" aria-label={`Remove ${row.code || "this row"}`} onClick={onRemove}>
            <X size={18} aria-hidden />
          </Button>
        </div>
      </div>
      <details open={open || below} onToggle={(event) => setOpen(event.currentTarget.open)} className="mb-2">
        <summary className="small">
          {[
            row.genus,
            row.growthForm ? growthFormNames[row.growthForm] : "growth form missing",
            Number.isFinite(Number(row.potCm)) ? widthIn(Number(row.potCm), units) : String(row.potCm),
            place,
          ]
            .filter(Boolean)
            .join(", ")}
        </summary>
        <div className="pt-2">
          <FieldList
            form={form}
            columns={BELOW}
            fields={[
              text(name("genus"), "Genus", { list: "genera", onTyped: complete }),
              select(name("growthForm"), "Growth form", [
                ...(row.growthForm === "" ? [["", "Choose the closest"] as const] : []),
                ...named(growthFormIds, growthFormNames),
              ]),
              select(name("placeId"), "Where it stands", [
                ...(row.placeId === "" ? [["", "Choose a place"] as const] : []),
                ...places.map((one) => [one.id, one.name] as const),
              ]),
              quantity(name("potCm"), "width", "Pot"),
              text(name("acquiredOn"), "Acquired", { hint: "2025-04-30" }),
              text(name("seller"), "Seller"),
            ]}
          />
        </div>
      </details>
    </div>
  );
}
