"use client";

import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import { useWatch } from "react-hook-form";
import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { countTrapsAction } from "@/app/_parts/actions";
import type { CommandResult } from "@/offline/commandResult";
import { daysBetween, type Day } from "@/core/shared/days";
import { countedOn, countTraps, type CountedOn } from "@/core/record/facts/kinds/trapCount";
import { CardCounter, type CountedPhoto } from "@/ui/cards/CardCounter";
import { ChoiceField, SubmitRow } from "@/ui/fields/fields";
import { FieldList, number, select } from "@/ui/fields/FieldList";
import { named } from "@/ui/fields/options";
import { MomentField } from "@/ui/fields/MomentField";
import { useCommand } from "@/ui/fields/useCommand";
import { useCollection } from "@/ui/shell/Collection";
import { unsentSentence } from "@/wording/advice/seasons/cards";
import { countedNames } from "@/wording/advice/seasons/seasons";
import { withOffset } from "@/zones";

const USUAL_DAYS = 7;
const SLICE_DAYS = 4;

/** A picture on which a count was made. Its address carries the id it is kept under: sent again, it is kept once. */
interface Picture {
  readonly address: string;
  readonly body: Blob;
}

/** Sends pictures, and gives those that are not kept yet. */
async function sendPictures(collectionId: string, pictures: readonly Picture[]): Promise<readonly Picture[]> {
  const kept = await Promise.all(
    pictures.map(async ({ address, body }) => {
      const request = { method: "PUT", body, headers: { "x-collection": collectionId } };
      const answer = await fetch(address, request).catch(() => null);
      const result = answer && ((await answer.json().catch(() => null)) as CommandResult | null);
      return result?.ok === true;
    }),
  );
  return pictures.filter((_, i) => !kept[i]);
}

/** How many were counted: on all cards of the room together, under a slice on one pot, or at the window. */
export function CountForm({
  placeId,
  pots,
  hung,
  lastOn,
  day,
}: {
  placeId: string;
  pots: readonly { readonly plantId: string; readonly code: string; readonly name: string }[];
  /** Whether cards hang. */
  hung: boolean;
  /** The day of the last count. */
  lastOn: Day | null;
  day: Day;
}) {
  const router = useRouter();
  const { id: collectionId, timeZone } = useCollection();
  const [saved, setSaved] = useState("");
  const [cards, setCards] = useState<readonly CountedPhoto[]>([]);
  const [unsent, setUnsent] = useState<readonly Picture[]>([]);
  // A number of its own for each count: the next one begins without the cards of the last.
  const [times, setTimes] = useState(0);
  const since = lastOn === null ? USUAL_DAYS : Math.min(60, Math.max(1, daysBetween(lastOn, day)));
  const { form, submit, trouble } = useCommand({
    schema: countTraps,
    action: countTrapsAction,
    defaults: () => ({
      ...{ id: uuidv7(), placeId, plantId: "", what: "cards" as CountedOn },
      ...{ days: String(since), count: "", at: withOffset(new Date(), timeZone) },
    }),
    done: ({ id: countId }) => {
      setSaved("Saved.");
      void send([
        ...unsent,
        ...cards.map(({ picture }) => ({
          address: `/benches/places/${placeId}/photos/${uuidv7()}?count=${String(countId)}`,
          body: picture,
        })),
      ]);
      setCards([]);
      setTimes((before) => before + 1);
      form.setValue("id", uuidv7());
      form.setValue("count", "");
    },
  });
  const send = async (pictures: readonly Picture[]) => {
    setUnsent(await sendPictures(collectionId, pictures));
    router.refresh();
  };
  const what = useWatch({ control: form.control, name: "what" });
  return (
    <form onSubmit={submit} onChange={() => setSaved("")} noValidate>
      {!hung && what === "cards" && <p>No cards are up yet. Hang some first (Due now), and count after a week.</p>}
      <ChoiceField
        form={form}
        name="what"
        label="Where"
        options={named(countedOn, countedNames)}
        onChoose={(one) => {
          // The cards that were read go with their counter.
          if (one !== "cards") setCards([]);
          form.setValue("plantId", "");
          form.setValue("days", String(one === "slice" ? SLICE_DAYS : since));
        }}
      />
      {what === "cards" && (
        <CardCounter
          key={times}
          onCount={(counted) => {
            setCards(counted);
            setSaved("");
            form.setValue(
              "count",
              counted.length === 0 ? "" : String(counted.reduce((sum, { flies }) => sum + flies, 0)),
            );
          }}
        />
      )}
      <FieldList
        form={form}
        fields={[
          what === "slice" &&
            select("plantId", "In the pot of", [
              ["", "choose …"],
              ...pots.map(({ plantId, code, name }) => [plantId, `${code} ${name}`] as const),
            ]),
        ]}
      />
      <FieldList
        form={form}
        columns={["col-sm-6", "col-sm-6"]}
        fields={[
          number("count", what === "slice" ? "Larvae" : what === "cards" ? "Flies on all cards together" : "Flies"),
          number(
            "days",
            what === "slice" ? "Days the slice was there" : "Days since the last count, or since you hung them",
          ),
        ]}
      />
      <MomentField form={form} name="at" label="When" />
      {unsent.length > 0 ? (
        <Alert variant="warning" className="d-flex flex-wrap gap-2 align-items-center">
          <span className="me-auto">{unsentSentence(unsent.length)}</span>
          <Button variant="outline-primary" onClick={() => void send(unsent)}>
            Send again
          </Button>
        </Alert>
      ) : (
        saved && <Alert variant="success">{saved}</Alert>
      )}
      <SubmitRow form={form} trouble={trouble} label="Save" />
    </form>
  );
}
