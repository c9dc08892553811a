"use client";

import { Link } from "@/ui/Link";
import { useRouter } from "next/navigation";
import Button from "react-bootstrap/Button";
import { useFieldArray, useWatch } from "react-hook-form";
import { v7 as uuidv7 } from "uuid";
import type { z } from "zod";
import { recordLookAction } from "@/app/_parts/actions";
import { outbox } from "@/offline/outbox";
import { useOutbox } from "@/offline/useOutbox";
import { recordLook } from "@/core/record/facts/kinds/look";
import { severityIds, severityOf, type SeverityId } from "@/core/model/inspection/severity";
import { toolIds, type ToolId } from "@/core/model/inspection/tools";
import { marksNewLeaves } from "@/core/model/inspection/newGrowth";
import { pestIds, type PestId } from "@/core/knowledge/pests/pests";
import { spotsOf, type GrowthFormId } from "@/core/knowledge/plants/growthForms";
import type { SpotId } from "@/core/knowledge/plants/spots";
import { ChoiceField, SubmitRow } from "@/ui/fields/fields";
import { choice, FieldList, number, select, yesOrNo } from "@/ui/fields/FieldList";
import { named } from "@/ui/fields/options";
import { SpotsField } from "@/ui/fields/SpotsField";
import { TimeAndNote } from "@/ui/fields/TimeAndNote";
import { PaperCounter } from "@/ui/cards/PaperCounter";
import { useCommand } from "@/ui/fields/useCommand";
import { pestNames, severityNames, toolNames } from "@/wording/names/names";

interface Props {
  plantId: string;
  growthForm: GrowthFormId;
  now: string;
  /** What it is looked at with, unless the keeper says otherwise. */
  tool: ToolId;
  /** Pests of the plant's open cases: the likeliest to be found again. */
  openPests: readonly PestId[];
  /** Whether every place above the roots is checked beforehand. */
  all: boolean;
}

/** Nobody has said yet what it is and how many, but for a pest that is known to be there. */
const newFind = (pest: PestId | undefined) => ({
  id: uuidv7(),
  caseId: uuidv7(),
  pest: (pest ?? "") as PestId,
  severity: "" as SeverityId,
  count: "" as string | number | null,
  removed: false,
});

/** What was looked at, with what, and what was found. `mending`: the entry of this browser to be mended; once it is saved, it is dropped. */
export function LookForm({ mending, ...props }: Props & { mending: string | null }) {
  const { held, ready } = useOutbox();
  // What this browser has kept is read after the page has begun.
  if (mending && !ready) return null;
  const entry = held.find(({ id }) => id === mending);
  return <Look {...props} kept={entry?.deed.kind === "look" ? { entryId: entry.id, input: entry.deed.input } : null} />;
}

/** Every place that can be looked at so: nobody sees roots but of a plant out of its pot. */
function allSeenWith(tool: ToolId, form: GrowthFormId): SpotId[] {
  return spotsOf(form).filter((spot) => spot !== "roots" || tool === "unpotted");
}

type Kept = { readonly entryId: string; readonly input: z.input<typeof recordLook> };

function Look({ plantId, growthForm, now, tool, openPests, all, kept }: Props & { kept: Kept | null }) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: recordLook,
    action: recordLookAction,
    defaults: () => ({
      id: uuidv7(),
      plantId,
      at: now,
      tool,
      spots: all ? allSeenWith(tool, growthForm) : ([] as SpotId[]),
      turned: true,
      note: "",
      newLeaves: "",
      finds: [],
      ...kept?.input,
    }),
    done: ({ opened, caseIds }) => {
      if (kept) outbox.drop(kept.entryId);
      const [first] = [...(opened as string[]), ...(caseIds as string[])];
      router.push(first ? `/cases/${first}` : `/plants/${plantId}`);
    },
  });
  const finds = useFieldArray({ control: form.control, name: "finds", keyName: "key" });
  /** A number that was counted says its class. */
  const classed = () => {
    for (const [i, { count, severity }] of form.getValues("finds").entries()) {
      const counted = Number(count);
      if (!severity && Number.isInteger(counted) && counted >= 1)
        form.setValue(`finds.${i}.severity`, severityOf(counted));
    }
  };
  const found = finds.fields.length;
  const lookedWith = useWatch({ control: form.control, name: "tool" });
  /** What moved on the paper is the number of the first find, which begins with it where there is none. */
  const record = (moved: number) => {
    if (form.getValues("finds").length === 0) finds.append({ ...newFind(openPests[0]), count: String(moved) });
    else form.setValue("finds.0.count", String(moved));
  };
  return (
    <form
      onSubmit={(event) => {
        classed();
        return submit(event);
      }}
      noValidate
    >
      <ChoiceField form={form} name="tool" label="How you looked" options={named(toolIds, toolNames)} />
      {lookedWith === "paper" && <PaperCounter onCount={record} />}
      <SpotsField form={form} name="spots" label="Where you looked" growthForm={growthForm} />
      <div className="mb-3">
        <Button
          variant="outline-primary"
          onClick={() =>
            form.setValue("spots", allSeenWith(form.getValues("tool"), growthForm), { shouldValidate: true })
          }
        >
          All of them
        </Button>
      </div>
      {finds.fields.map((field, i) => (
        <fieldset key={field.key} className="card card-body mb-3">
          <legend className="fs-5">Found</legend>
          <FieldList
            form={form}
            fields={[
              select(`finds.${i}.pest`, "Pest", [["", "Choose"], ...named(pestIds, pestNames)]),
              choice(`finds.${i}.severity`, "How many, alive", named(severityIds, severityNames)),
              number(`finds.${i}.count`, "Or the number you counted", "If you give a number, it counts instead."),
              yesOrNo(`finds.${i}.removed`, "I killed all I saw on the spot"),
            ]}
          />
          <div>
            <Button variant="outline-primary" onClick={() => finds.remove(i)}>
              Remove this find
            </Button>
          </div>
        </fieldset>
      ))}
      <FieldList
        form={form}
        fields={[
          openPests.some(marksNewLeaves) &&
            number(
              "newLeaves",
              "New leaves since the last look, without marks",
              "Every clean new leaf makes it surer, even where your eye cannot reach. Empty: not counted.",
            ),
          yesOrNo("turned", "Turned: far side seen too"),
        ]}
      />
      <TimeAndNote form={form} longAgo="longAgo" />
      <SubmitRow form={form} trouble={trouble} label={found === 0 ? "Nothing found" : "Save the find"}>
        <Button variant="outline-primary" onClick={() => finds.append(newFind(openPests[found]))}>
          {found === 0 ? "Found something" : "Found another pest"}
        </Button>
        {found === 0 && (
          <Link className="btn btn-outline-primary" href={`/plants/${plantId}/name`}>
            Name it by its signs
          </Link>
        )}
      </SubmitRow>
    </form>
  );
}
