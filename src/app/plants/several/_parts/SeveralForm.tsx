"use client";

import { X } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { get, useFieldArray, useWatch, type UseFormReturn } from "react-hook-form";
import { z } from "zod";
import { addPlantsAction } from "@/app/_parts/actions";
import { addPlant, addPlants, MOST_AT_ONCE } from "@/core/facts/deeds";
import { nextCodes } from "@/core/plants/codes";
import { genera, genusMeant } from "@/core/plants/genera";
import { growthFormIds } from "@/core/plants/growthForms";
import { SelectField, SubmitRow, TextField } from "@/ui/fields/fields";
import { useDeed } from "@/ui/fields/useDeed";
import { Panel } from "@/ui/Panel";
import { growthFormNames } from "@/wording/names";
import { problemInWords } from "@/wording/problems";
import { emptyRow, rowsFrom, type Row } from "./rows";

type Places = readonly { readonly id: string; readonly name: string }[];
type Plants = z.input<typeof addPlants>;

/** A CSV file larger than this is no list of plants. */
const MOST_BYTES = 1024 * 1024;

/** Plants to paste, read from a file or typed, in one table; they are added all at once, or none of them. */
export function SeveralForm({
  places,
  usualPlaceId,
  codes,
}: {
  places: Places;
  usualPlaceId: string;
  codes: readonly string[];
}) {
  const router = useRouter();
  const [usual, setUsual] = useState({ placeId: usualPlaceId, potCm: "12" });
  const [pasted, setPasted] = useState("");
  const [said, setSaid] = useState<{ readonly wrong: boolean; readonly text: string } | null>(null);
  const { form, submit, trouble } = useDeed<Plants>({
    schema: withFreeCodes(codes),
    action: addPlantsAction,
    defaults: () => ({ plants: [] }),
    done: () => router.push("/benches"),
  });
  const { fields, append, remove } = useFieldArray({ control: form.control, name: "plants", keyName: "key" });
  const taken = () => [...codes, ...form.getValues("plants").map(({ code }) => code)];

  const take = (text: string) => {
    const { rows, ignored } = rowsFrom(text, taken(), usual, places);
    if (rows.length === 0) return setSaid({ wrong: true, text: "There is no plant in this. Write one in each line." });
    if (fields.length + rows.length > MOST_AT_ONCE) {
      const most = `Add ${MOST_AT_ONCE} plants at once at most; this would be ${fields.length + rows.length}.`;
      return setSaid({ wrong: true, text: `${most} Take the list in parts.` });
    }
    append([...rows], { shouldFocus: false });
    setPasted("");
    const left = ignored.length > 0 ? ` Not used: ${ignored.join(", ")}.` : "";
    setSaid({ wrong: false, text: `${rows.length === 1 ? "1 plant" : `${rows.length} plants`} below.${left}` });
    // What is wrong with a row stands at that row, before anything is sent.
    void form.trigger("plants");
  };
  const takeFile = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_BYTES)
      return setSaid({ wrong: true, text: "This file is larger than 1 MB. Choose the list of your plants." });
    try {
      take(new TextDecoder("utf-8", { fatal: true }).decode(await file.arrayBuffer()));
    } catch {
      setSaid({ wrong: true, text: "This file is no text. Save the table as CSV (UTF-8) and choose it again." });
    }
  };
  const wrongRows = (get(form.formState.errors, "plants") as unknown[] | undefined)?.filter(Boolean).length ?? 0;
  return (
    <form onSubmit={submit} noValidate>
      <Panel title="What goes for all that do not say otherwise">
        <div className="row">
          <Form.Group className="col-sm-6 mb-2" controlId="usual-place">
            <Form.Label className="fw-semibold mb-1">Where they stand</Form.Label>
            <Form.Select
              value={usual.placeId}
              onChange={(event) => setUsual({ ...usual, placeId: event.target.value })}
            >
              {places.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
          <Form.Group className="col-sm-6 mb-2" controlId="usual-pot">
            <Form.Label className="fw-semibold mb-1">Pot width, cm</Form.Label>
            <Form.Control
              value={usual.potCm}
              inputMode="decimal"
              onChange={(event) => setUsual({ ...usual, potCm: event.target.value })}
            />
          </Form.Group>
        </div>
      </Panel>
      <Panel title="Paste a list, or choose a file">
        <Form.Group className="mb-2" controlId="pasted">
          <Form.Label className="fw-semibold mb-1">One plant in each line</Form.Label>
          <Form.Control as="textarea" rows={4} value={pasted} onChange={(event) => setPasted(event.target.value)} />
          <Form.Text>
            Just the names, or a table with the headings code, name, genus, form, pot, acquired, seller, place. The
            genus and its growth form are filled in where they are known.
          </Form.Text>
        </Form.Group>
        <div className="d-flex flex-wrap gap-2 align-items-center">
          <Button variant="outline-primary" onClick={() => take(pasted)}>
            Put them into the table
          </Button>
          <Form.Control
            type="file"
            className="flex-fill w-auto mw-100"
            style={{ minWidth: 0 }}
            aria-label="A CSV file"
            accept=".csv,.tsv,.txt,text/csv"
            onChange={(event) => void takeFile((event.target as HTMLInputElement).files?.[0])}
          />
        </div>
        {said && (
          <Alert
            variant={said.wrong ? "danger" : "success"}
            className="mt-2 mb-0"
            role={said.wrong ? "alert" : "status"}
          >
            {said.text}
          </Alert>
        )}
      </Panel>
      <Panel title={titleOf(fields.length)}>
        {wrongRows > 0 && (
          <Alert variant="warning">
            {wrongRows === 1 ? "1 row needs" : `${wrongRows} rows need`} you first. Nothing is added before all are
            right.
          </Alert>
        )}
        <ol className="list-unstyled mb-2">
          {fields.map((field, i) => (
            <PlantRow key={field.key} form={form} i={i} places={places} onRemove={() => remove(i)} />
          ))}
        </ol>
        <Button
          variant="outline-primary"
          className="mb-3"
          onClick={() => append(emptyRow(nextCodes(taken(), 1)[0]!, usual))}
        >
          One row more
        </Button>
        <datalist id="genera">
          {genera.map(({ name }) => (
            <option key={name} value={name} />
          ))}
        </datalist>
        {fields.length > 0 && <SubmitRow form={form} trouble={trouble} label={addLabel(fields.length)} />}
      </Panel>
    </form>
  );
}

/** The deed's own shape, which says of a code that is taken so before anything is sent. */
function withFreeCodes(codes: readonly string[]) {
  const taken = new Set(codes.map((code) => code.toLowerCase()));
  const message = problemInWords({ code: "code_taken" });
  const plant = addPlant.refine(({ code }) => !taken.has(code.toLowerCase()), { path: ["code"], message });
  return addPlants.extend({ plants: z.array(plant).min(1).max(MOST_AT_ONCE) });
}

const titleOf = (count: number) => (count === 0 ? "No plant yet" : count === 1 ? "1 plant" : `${count} plants`);
const addLabel = (count: number) => (count === 1 ? "Add the plant" : `Add ${count} plants`);

/** One plant: code and name at once, the rest below a press; that opens by itself where something in it is wrong. */
function PlantRow({
  form,
  i,
  places,
  onRemove,
}: {
  form: UseFormReturn<Plants>;
  i: number;
  places: Places;
  onRemove: () => void;
}) {
  const [open, setOpen] = useState(false);
  const row = useWatch({ control: form.control, name: `plants.${i}` }) as Row | undefined;
  const wrong = get(form.formState.errors, `plants.${i}`) as Partial<Record<keyof Row, unknown>> | undefined;
  const below = wrong && Object.keys(wrong).some((name) => name !== "code" && name !== "name");
  const name = <K extends keyof Row & string>(field: K) => `plants.${i}.${field}` as const;
  const complete = (typed: string) => {
    const known = genusMeant(typed);
    if (known) form.setValue(name("growthForm"), known.form);
  };
  if (!row) return null;
  const place = places.find(({ id }) => id === row.placeId)?.name ?? "no place yet";
  return (
    <li className="several-row">
      <div className="row gx-2">
        <div className="col-4 col-sm-3">
          <TextField form={form} name={name("code")} label="Code" />
        </div>
        <div className="col">
          <TextField form={form} name={name("name")} label="Name" />
        </div>
        <div className="col-auto pt-4">
          <Button variant="outline-primary" aria-label={`Take ${row.code || "this row"} out`} onClick={onRemove}>
            <X size={18} aria-hidden />
          </Button>
        </div>
      </div>
      <details open={open || below} onToggle={(event) => setOpen(event.currentTarget.open)} className="mb-2">
        <summary className="small">
          {[row.genus, growthFormNames[row.growthForm], `${String(row.potCm)} cm`, place].filter(Boolean).join(", ")}
        </summary>
        <div className="row gx-2 pt-2">
          <div className="col-sm-6" onChange={(event) => complete((event.target as HTMLInputElement).value)}>
            <TextField form={form} name={name("genus")} label="Genus" list="genera" />
          </div>
          <div className="col-sm-6">
            <SelectField
              form={form}
              name={name("growthForm")}
              label="Growth form"
              options={growthFormIds.map((id) => [id, growthFormNames[id]])}
            />
          </div>
          <div className="col-sm-6">
            <SelectField
              form={form}
              name={name("placeId")}
              label="Where it stands"
              options={[
                ...(row.placeId === "" ? [["", "Choose a place"] as const] : []),
                ...places.map((one) => [one.id, one.name] as const),
              ]}
            />
          </div>
          <div className="col-6 col-sm-3">
            <TextField form={form} name={name("potCm")} label="Pot, cm" inputMode="decimal" />
          </div>
          <div className="col-6 col-sm-3">
            <TextField form={form} name={name("acquiredOn")} label="Acquired" hint="2025-04-30" />
          </div>
          <div className="col-12">
            <TextField form={form} name={name("seller")} label="Seller" />
          </div>
        </div>
      </details>
    </li>
  );
}
