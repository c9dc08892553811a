"use client";

import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import { useWatch } from "react-hook-form";
import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { countTrapsAction } from "@/app/_parts/actions";
import { daysBetween, type Day } from "@/core/climate/days";
import { countedOn, countTraps, type CountedOn } from "@/core/facts/kinds/trapCount";
import { ChoiceField, SelectField, SubmitRow, TextField } from "@/ui/fields/fields";
import { MomentField } from "@/ui/fields/MomentField";
import { useDeed } from "@/ui/fields/useDeed";
import { useCollection } from "@/ui/shell/Collection";
import { countedNames } from "@/wording/rooms";
import { withOffset } from "@/zones";

const USUAL_DAYS = 7;
const SLICE_DAYS = 4;

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
  const { timeZone } = useCollection();
  const [told, setTold] = useState("");
  const since = lastOn === null ? USUAL_DAYS : Math.min(60, Math.max(1, daysBetween(lastOn, day)));
  const { form, submit, trouble } = useDeed({
    schema: countTraps,
    action: countTrapsAction,
    defaults: () => ({
      ...{ id: uuidv7(), placeId, plantId: "", what: "cards" as CountedOn },
      ...{ days: String(since), count: "", at: withOffset(new Date(), timeZone) },
    }),
    done: () => {
      setTold("Written down.");
      form.setValue("id", uuidv7());
      form.setValue("count", "");
      router.refresh();
    },
  });
  const what = useWatch({ control: form.control, name: "what" });
  return (
    <form onSubmit={submit} onChange={() => setTold("")} noValidate>
      {!hung && what === "cards" && (
        <p>No cards are written down as hanging. Hang them first (Due now), and count after a week.</p>
      )}
      <ChoiceField
        form={form}
        name="what"
        label="Where"
        options={countedOn.map((one) => [one, countedNames[one]])}
        onChoose={(one) => {
          form.setValue("plantId", "");
          form.setValue("days", String(one === "slice" ? SLICE_DAYS : since));
        }}
      />
      <div className="row gx-3">
        {what === "slice" && (
          <div className="col-sm-12">
            <SelectField
              form={form}
              name="plantId"
              label="On the mix of"
              options={[
                ["", "choose …"],
                ...pots.map(({ plantId, code, name }) => [plantId, `${code} ${name}`] as const),
              ]}
            />
          </div>
        )}
        <div className="col-sm-6">
          <TextField
            form={form}
            name="count"
            label={what === "slice" ? "Larvae" : what === "cards" ? "Flies on all cards together" : "Flies"}
            inputMode="decimal"
          />
        </div>
        <div className="col-sm-6">
          <TextField
            form={form}
            name="days"
            label={what === "slice" ? "Days the slice lay" : "Days since the last count, or since they hung"}
            inputMode="decimal"
          />
        </div>
      </div>
      <MomentField form={form} name="at" label="When" />
      {told && <Alert variant="success">{told}</Alert>}
      <SubmitRow form={form} trouble={trouble} label="Write it down" />
    </form>
  );
}
