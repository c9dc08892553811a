"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { useFieldArray } from "react-hook-form";
import { z } from "zod";
import { addPlantsAction } from "@/app/_parts/actions";
import { addPlant, addPlants, MOST_AT_ONCE } from "@/core/record/facts/commands";
import { nextCodes } from "@/core/knowledge/plants/codes";
import { genera } from "@/core/knowledge/plants/genera";
import { SubmitRow } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";
import { Panel } from "@/ui/Panel";
import { problemInWords } from "@/wording/record/problems";
import { NewPlaces } from "./NewPlaces";
import { PlantRows } from "./PlantRows";
import { emptyRow, rowsFrom, type Plants } from "./rows";
import { Unknown } from "./Unknown";
import { SelectBox } from "@/ui/fields/SelectBox";

type Places = readonly { readonly id: string; readonly name: string }[];

/** A CSV file larger than this is no list of plants. */
const MOST_BYTES = 1024 * 1024;

/** Plants to paste, read from a file or typed, in one table; they are added all at once, or none of them. */
export function SeveralForm({
  places: known,
  room,
  usualPlaceId,
  codes,
}: {
  places: Places;
  /** The room in which new shelves come to stand. */
  room: Places[number] | null;
  usualPlaceId: string;
  codes: readonly string[];
}) {
  const router = useRouter();
  const [made, setMade] = useState<Places>([]);
  const places = [...known, ...made];
  const [placesMeant, setPlacesMeant] = useState<ReadonlyMap<string, string>>(new Map());
  const [usual, setUsual] = useState({ placeId: usualPlaceId, potCm: "12" });
  const [pasted, setPasted] = useState("");
  const [said, setSaid] = useState<{ readonly wrong: boolean; readonly text: string } | null>(null);
  const { form, submit, trouble } = useCommand<Plants>({
    schema: withFreeCodes(codes),
    action: addPlantsAction,
    defaults: () => ({ plants: [] }),
    done: () => router.push("/benches"),
  });
  const { fields, append, remove } = useFieldArray({ control: form.control, name: "plants", keyName: "key" });
  const taken = () => [...codes, ...form.getValues("plants").map(({ code }) => code)];

  const take = (text: string) => {
    const { rows, placesMeant: meant, ignored } = rowsFrom(text, taken(), usual, places);
    if (rows.length === 0) return setSaid({ wrong: true, text: "No plant found in this. Put one on each line." });
    if (fields.length + rows.length > MOST_AT_ONCE) {
      const most = `Add ${MOST_AT_ONCE} plants at once at most; this would be ${fields.length + rows.length}.`;
      return setSaid({ wrong: true, text: `${most} Split the list.` });
    }
    append(rows as Plants["plants"], { shouldFocus: false });
    setPlacesMeant((before) => new Map([...before, ...meant]));
    setPasted("");
    const left = ignored.length > 0 ? ` Not used: ${ignored.join(", ")}.` : "";
    setSaid({ wrong: false, text: `${rows.length === 1 ? "1 plant" : `${rows.length} plants`} below.${left}` });
    // What is wrong with a row stands at that row, before anything is sent.
    void form.trigger("plants");
  };
  const takeFile = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_BYTES)
      return setSaid({ wrong: true, text: "This file is larger than 1 MB. Choose a list of your plants." });
    try {
      take(new TextDecoder("utf-8", { fatal: true }).decode(await file.arrayBuffer()));
    } catch {
      setSaid({ wrong: true, text: "This file is not text. Save the table as CSV (UTF-8) and choose it again." });
    }
  };
  return (
    <form onSubmit={submit} noValidate>
      <Panel title="For all rows that do not say otherwise">
        <div className="row">
          <SelectBox
            className="col-sm-6 mb-2"
            label="Where they stand"
            value={usual.placeId}
            options={places.map(({ id, name }) => [id, name])}
            onPick={(placeId) => setUsual({ ...usual, placeId })}
          />
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
          <Form.Label className="fw-semibold mb-1">One plant per line</Form.Label>
          <Form.Control as="textarea" rows={4} value={pasted} onChange={(event) => setPasted(event.target.value)} />
          <Form.Text>
            Just names, or a table with the columns code, name, genus, form, pot, acquired, seller, place. Genus and
            growth form are filled in where known.
          </Form.Text>
        </Form.Group>
        <div className="d-flex flex-wrap gap-2 align-items-center">
          <Button variant="outline-primary" onClick={() => take(pasted)}>
            Put them in the table
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
        <NewPlaces
          form={form}
          meant={placesMeant}
          room={room}
          onMade={(place) => setMade((before) => [...before, place])}
        />
        <Unknown form={form} />
        <PlantRows keys={fields.map(({ key }) => key)} form={form} places={places} onRemove={remove} />
        <Button
          variant="outline-primary"
          className="mb-3"
          onClick={() => append(emptyRow(nextCodes(taken(), 1)[0]!, usual) as Plants["plants"][number])}
        >
          Add a row
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

/** The command's own shape, which says of a code that is taken so before anything is sent. */
function withFreeCodes(codes: readonly string[]) {
  const taken = new Set(codes.map((code) => code.toLowerCase()));
  const message = problemInWords({ code: "code_taken" });
  const plant = addPlant.refine(({ code }) => !taken.has(code.toLowerCase()), { path: ["code"], message });
  return addPlants.extend({ plants: z.array(plant).min(1).max(MOST_AT_ONCE) });
}

const titleOf = (count: number) => (count === 0 ? "No plant yet" : count === 1 ? "1 plant" : `${count} plants`);
const addLabel = (count: number) => (count === 1 ? "Add the plant" : `Add ${count} plants`);
