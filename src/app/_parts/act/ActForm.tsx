"use client";

import { Link } from "@/ui/Link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import type { UseFormReturn } from "react-hook-form";
import { v7 as uuidv7 } from "uuid";
import type { z } from "zod";
import { recordActAction } from "@/app/_parts/actions";
import { actKindIds, cautionsOfAct, subjectsOf, type Act, type ActKindId } from "@/core/acts/acts";
import type { PlanStep } from "@/core/advice/plans/plans";
import { recordAct } from "@/core/record/facts/kinds/act";
import { type MixId } from "@/core/knowledge/mixes/mixes";
import { spotsOf, type GrowthFormId } from "@/core/knowledge/plants/growthForms";
import type { SpotId } from "@/core/knowledge/plants/spots";
import { toldBefore } from "@/core/advice/tolerance/cautionsRead";
import { type LabelObjection } from "@/core/advice/labels/label";
import { type TechniqueId } from "@/core/knowledge/remedies/remedies";
import type { Home } from "@/core/knowledge/household/household";
import { actObjections, placeObjections } from "@/core/advice/tolerance/actObjections";
import { AlreadyDone } from "@/ui/acts/AlreadyDone";
import { ActFields } from "@/ui/acts/ActFields";
import { askedFor, draftOf, type Draft } from "@/ui/acts/actFields";
import { type Measuring } from "@/ui/Amounts";
import { CautionList } from "@/ui/Cautions";
import { useReadCautions } from "@/ui/readCautions";
import { ChoiceField, SelectField, SubmitRow } from "@/ui/fields/fields";
import { named } from "@/ui/fields/options";
import { TimeAndNote } from "@/ui/fields/TimeAndNote";
import { useCommand } from "@/ui/fields/useCommand";
import { useCollection } from "@/ui/shell/Collection";
import { actKindNames, plannedName } from "@/wording/names/acts";
import { dayInWords } from "@/wording/dates";
import { pestNames, spotNames } from "@/wording/names/names";
import { labelSentence } from "@/wording/record/problems";
import { noPlant, type ActPlant } from "./actPlant";
import { labelBefore } from "./labelBefore";
import { kindOfDose, plannedDraft, useAmountOf, useOwnStrength, useSpotsOf } from "./proposed";
import { Against, HowToMix, Takes, TokenDose } from "./Told";

interface Props {
  on: { plant: ActPlant } | { placeId: string; home: Home; outdoors: boolean };
  measuring: Measuring;
  now: string;
  /** The treatments of a plan still to be done; the first is proposed. */
  steps?: readonly PlanStep[];
  /** What is likely to be needed for it, mL. */
  volumeMl?: number;
  /** Where to go when it is written down. */
  then: string;
  label: string;
}

/** What was done with the hands, of any kind; the cautions and what it takes stand before the act. */
export function ActForm({ on, measuring, now, steps = [], volumeMl, then, label }: Props) {
  const router = useRouter();
  const { timeZone } = useCollection();
  const reading = useReadCautions();
  const plant = "plant" in on ? on.plant : null;
  const actedOn = plant ?? noPlant;
  const [warnings, setWarnings] = useState<readonly LabelObjection[]>([]);
  const kinds = actKindIds.filter((kind) => subjectsOf(kind).includes(plant ? "plant" : "place"));
  const next = steps[0]?.dose;
  const objectionsTo = (done: Act) =>
    "plant" in on ? actObjections(done, on.plant.bearer) : placeObjections(done, on.home, on.outdoors);
  const { form, submit, trouble } = useCommand({
    schema: recordAct,
    action: (collectionId, input) => {
      const command = input as z.input<typeof recordAct>;
      return recordActAction(collectionId, { ...command, act: askedFor(command.act as unknown as Draft) });
    },
    defaults: () => ({
      id: uuidv7(),
      plantId: plant?.id ?? "",
      placeId: "placeId" in on ? on.placeId : "",
      caseId: plant?.cases[0]?.id ?? "",
      stepId: steps[0]?.id ?? "",
      act: plannedDraft(next ?? null, kinds[0]!, actedOn, volumeMl) as never,
      at: now,
      note: "",
      alreadyDone: false,
    }),
    done: (value) => {
      const { act: done } = form.getValues() as { act: unknown };
      reading.keep(toldBefore(objectionsTo(done as Act), cautionsOfAct(done as Act)).map(({ id }) => id));
      // What stood beside the button is not told again.
      const before = labelBefore(done as Draft, form.getValues("at"), plant?.courses, timeZone).map(({ code }) => code);
      const fresh = ((value.warnings ?? []) as readonly LabelObjection[]).filter(({ code }) => !before.includes(code));
      if (fresh.length > 0) return setWarnings(fresh);
      router.push(then);
      router.refresh();
    },
  });
  const draft = form.watch("act") as unknown as Draft;
  const contact =
    draft.kind === "contact" ? { mix: draft.mix as MixId, technique: draft.technique as TechniqueId } : null;
  useAmountOf(form as unknown as UseFormReturn, contact, actedOn.potCm, volumeMl);
  useSpotsOf(form as unknown as UseFormReturn, contact?.technique ?? null, actedOn.growthForm);
  useOwnStrength(form as unknown as UseFormReturn, contact?.mix ?? null, measuring.bottles);
  if (warnings.length > 0) {
    return (
      <Alert variant="warning">
        <p className="fw-semibold">It is on record, but it breaks a rule of the remedy:</p>
        <ul>
          {warnings.map((warning) => (
            <li key={warning.code}>{labelSentence(warning)}</li>
          ))}
        </ul>
        <Link className="btn btn-primary" href={then}>
          Continue
        </Link>
      </Alert>
    );
  }
  const turnTo = (kind: ActKindId) => {
    form.clearErrors();
    form.setValue("act", draftOf(kind, actedOn) as never);
    form.setValue("stepId", steps.find(({ dose }) => dose && kindOfDose(dose) === kind)?.id ?? "");
  };
  const against = objectionsTo(draft as unknown as Act);
  const toRead = toldBefore(against, cautionsOfAct(draft as unknown as Act));
  const unread = toRead.some(({ id }) => !reading.ids.includes(id));
  const refused = against.some(({ level }) => level === "refuse");
  const isWhat = ({ as }: { as: string }) => as === "choice";
  const fields = { form, draft, growthForm: actedOn.growthForm };
  return (
    <form onSubmit={submit} noValidate>
      <TimeAndNote form={form} longAgo="longAgo" />
      {steps.length > 0 && (
        <SelectField
          form={form}
          name="stepId"
          label="Which planned step this is"
          options={[
            ...steps.map(
              ({ id, dueOn, dose }) => [id, `${dayInWords(dueOn)}${dose ? `: ${plannedName(dose)}` : ""}`] as const,
            ),
            ["", "none: an extra treatment"],
          ]}
        />
      )}
      <SelectField
        form={form}
        name={"act.kind" as never}
        label="What you do"
        options={named(kinds, actKindNames)}
        onChoose={(kind) => turnTo(kind as ActKindId)}
      />
      <div key={draft.kind}>
        <ActFields {...fields} part={isWhat} />
        {plant && draft.way === "unpot" && (
          <p>
            <Link className="btn btn-outline-primary" href={`/plants/${plant.id}/unpot`}>
              Step by step, with the pot size
            </Link>
          </p>
        )}
        <CautionList against={against} cautions={cautionsOfAct(draft as unknown as Act)} />
        {contact && <TokenDose draft={draft} />}
        {plant && <Against draft={draft} plant={plant} caseId={form.watch("caseId")} at={form.watch("at")} />}
        {Array.isArray(draft.spots) && (
          <details className="mb-3">
            <summary>Where: {where(draft.spots as readonly SpotId[], actedOn.growthForm)}</summary>
            <ActFields {...fields} part={isWhere} />
          </details>
        )}
        <ActFields {...fields} part={(field) => !isWhat(field) && !isWhere(field)} />
        {contact && <HowToMix mix={contact.mix} draft={draft} measuring={measuring} />}
        {plant && <Takes draft={draft} potCm={plant.potCm} />}
      </div>
      {plant && plant.cases.length > 0 && (
        <ChoiceField
          form={form}
          name="caseId"
          label="Against"
          options={[...plant.cases.map(({ id, pest }) => [id, pestNames[pest]] as const), ["", "No case"]]}
        />
      )}
      {refused && <AlreadyDone form={form} />}
      {/* In reach at once where nothing new stands before it. */}
      <div className={unread ? undefined : "sticky-press"}>
        <SubmitRow form={form} trouble={trouble} label={label} />
      </div>
    </form>
  );
}

const isWhere = ({ as }: { as: string }) => as === "spots";

/** The places that are ticked, in words; of many how many. */
function where(ticked: readonly SpotId[], form: GrowthFormId): string {
  const there = spotsOf(form);
  if (ticked.length === 0) return "nowhere marked yet";
  if (ticked.length > 3) return `${ticked.length} of ${there.length} places`;
  return ticked.map((spot) => spotNames[spot].toLowerCase()).join(", ");
}
