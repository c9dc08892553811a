"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import Alert from "react-bootstrap/Alert";
import type { UseFormReturn } from "react-hook-form";
import { v7 as uuidv7 } from "uuid";
import type { z } from "zod";
import { recordActAction } from "@/app/_parts/actions";
import {
  act as anyAct,
  actKindIds,
  cautionsOfAct,
  cleanLookIn,
  costsOfAct,
  subjectsOf,
  treats,
  type Act,
  type ActKindId,
} from "@/core/acts/acts";
import { ownStrength, type Bottle } from "@/core/household/bottles";
import { workOf } from "@/core/acts/works";
import { doseIn } from "@/core/case/course";
import type { PlanStep } from "@/core/case/plans";
import type { PlannedDose } from "@/core/facts/kinds/programme";
import { recordAct } from "@/core/facts/kinds/act";
import { mixes, type MixId } from "@/core/mixing/mixes";
import { volumeFor } from "@/core/mixing/sprayVolume";
import { potencyAt, TOKEN_POTENCY } from "@/core/mixing/potency";
import { spotsOf, type GrowthFormId } from "@/core/plants/growthForms";
import type { SpotId } from "@/core/plants/spots";
import { toldBefore } from "@/core/suitability/told";
import type { PestId } from "@/core/pests/pests";
import type { Courses } from "@/core/planning/course";
import { labelObjections, type LabelObjection } from "@/core/planning/label";
import { remedyOf, spotsFor, type TechniqueId } from "@/core/remedies/remedies";
import type { Bearer } from "@/core/suitability/bearer";
import type { Home } from "@/core/household/household";
import { actObjections, placeObjections } from "@/core/suitability/actObjections";
import { ActFields } from "@/ui/acts/ActFields";
import { askedFor, draftOf, type ActedOn, type Draft } from "@/ui/acts/actFields";
import { Amounts, type Measuring } from "@/ui/Amounts";
import { CautionList } from "@/ui/Cautions";
import { useReadCautions } from "@/ui/readCautions";
import { ChoiceField, NoteField, SelectField, SubmitRow, SwitchField } from "@/ui/fields/fields";
import { LongAgoField } from "@/ui/fields/LongAgoField";
import { MomentField } from "@/ui/fields/MomentField";
import { useDeed } from "@/ui/fields/useDeed";
import { useCollection } from "@/ui/shell/Collection";
import { actKindNames, plannedName } from "@/wording/acts";
import { millilitres } from "@/wording/amounts";
import { dayInWords } from "@/wording/dates";
import { pestNames, spotNames } from "@/wording/names";
import { labelSentence } from "@/wording/problems";
import { dayIn } from "@/zones";

/** The plant an act is done to. */
export interface ActPlant extends ActedOn {
  readonly id: string;
  readonly bearer: Bearer;
  /** Its open cases, to one of which the act may belong. */
  readonly cases: readonly { readonly id: string; readonly pest: PestId }[];
  /** The courses of remedies that run on it; nothing is said of labels before it is written down where left out. */
  readonly courses?: Courses;
}

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

/** A place has no form and no pot of its own: what is done there asks for neither. */
const noPlant: ActedOn = { growthForm: "uprightShrub", potCm: 12 };

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
  const { form, submit, trouble } = useDeed({
    schema: recordAct,
    action: (collectionId, input) => {
      const deed = input as z.input<typeof recordAct>;
      return recordActAction(collectionId, { ...deed, act: askedFor(deed.act as unknown as Draft) });
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
      const told = ((value.warnings ?? []) as readonly LabelObjection[]).filter(({ code }) => !before.includes(code));
      if (told.length > 0) return setWarnings(told);
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
        <p className="fw-semibold">It is written down. It goes against what the remedy bears:</p>
        <ul>
          {warnings.map((warning) => (
            <li key={warning.code}>{labelSentence(warning)}</li>
          ))}
        </ul>
        <Link className="btn btn-primary" href={then}>
          Go on
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
  const told = toldBefore(against, cautionsOfAct(draft as unknown as Act));
  const unread = told.some(({ id }) => !reading.ids.includes(id));
  const refused = against.some(({ level }) => level === "refuse");
  const isWhat = ({ as }: { as: string }) => as === "select" || as === "choice";
  const fields = { form, draft, growthForm: actedOn.growthForm };
  return (
    <form onSubmit={submit} noValidate>
      <MomentField form={form} name="at" label="When" />
      <LongAgoField form={form} at="at" name="longAgo" />
      {steps.length > 0 && (
        <SelectField
          form={form}
          name="stepId"
          label="Which step this carries out"
          options={[
            ...steps.map(
              ({ id, dueOn, dose }) => [id, `${dayInWords(dueOn)}${dose ? `: ${plannedName(dose)}` : ""}`] as const,
            ),
            ["", "none, an extra one"],
          ]}
        />
      )}
      <SelectField
        form={form}
        name={"act.kind" as never}
        label="What you do"
        options={kinds.map((kind) => [kind, actKindNames[kind]])}
        onChoose={(kind) => turnTo(kind as ActKindId)}
      />
      <div key={draft.kind}>
        <ActFields {...fields} part={isWhat} />
        {plant && draft.way === "unpot" && (
          <p>
            <Link className="btn btn-outline-primary" href={`/plants/${plant.id}/unpot`}>
              Step by step, with the pot it goes into
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
          label="What it is against"
          options={[...plant.cases.map(({ id, pest }) => [id, pestNames[pest]] as const), ["", "No case"]]}
        />
      )}
      <NoteField form={form} name="note" label="Note" />
      {refused && (
        <SwitchField
          form={form}
          name="alreadyDone"
          label="It has happened already; write it down all the same"
          hint="Watch the plant closely for the next days."
        />
      )}
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
  if (ticked.length === 0) return "nowhere yet";
  if (ticked.length > 3) return `${ticked.length} of ${there.length} places`;
  return ticked.map((spot) => spotNames[spot].toLowerCase()).join(", ");
}

/** The kind of act that a step asks for, on any plant. */
function kindOfDose(dose: PlannedDose): ActKindId {
  return "work" in dose ? workOf(dose.work).act({ form: noPlant.growthForm, potCm: noPlant.potCm }).kind : "contact";
}

/** What the form begins with: the step that is next, or the first kind there is. */
function plannedDraft(next: PlannedDose | null, kind: ActKindId, on: ActedOn, volumeMl: number | undefined): Draft {
  if (next && "work" in next) {
    const act = workOf(next.work).act({ form: on.growthForm, potCm: on.potCm });
    return { ...draftOf(act.kind, on), ...act };
  }
  return { ...draftOf(kind, on), ...next, ...(volumeMl && { volumeMl }) };
}

/**
 * A technique that the mix does not take gives way to one that it does; and the volume is that of the technique, until the keeper
 * writes another.
 */
function useAmountOf(
  form: UseFormReturn,
  contact: { readonly mix: MixId; readonly technique: TechniqueId } | null,
  potCm: number,
  begun: number | undefined,
): void {
  const proposed = useRef<string | null>(null);
  const { mix, technique } = contact ?? {};
  useEffect(() => {
    if (!mix || !technique) return;
    const taken = remedyOf(mixes[mix].remedy).techniques;
    if (!taken.includes(technique)) return form.setValue("act.technique", taken[0]!);
    const now = String(form.getValues("act.volumeMl") ?? "");
    const usual = String(volumeFor(technique, potCm));
    // What was planned begins with its own estimate; any other draft with that of a dab.
    const first = proposed.current === null;
    if (first && begun !== undefined) {
      proposed.current = String(begun);
      return;
    }
    if (first || now === proposed.current || now === String(volumeFor("dab", potCm)))
      form.setValue("act.volumeMl", usual);
    proposed.current = usual;
  }, [form, mix, technique, potCm, begun]);
}

/** The places that a technique goes to are ticked, until the keeper ticks otherwise. */
function useSpotsOf(form: UseFormReturn, technique: TechniqueId | null, growthForm: GrowthFormId): void {
  const ticked = useRef<string | null>(null);
  useEffect(() => {
    if (!technique) return;
    const now = JSON.stringify(form.getValues("act.spots"));
    const usual = spotsFor(technique, growthForm);
    if (ticked.current === null || ticked.current === now) form.setValue("act.spots", usual);
    ticked.current = JSON.stringify(usual);
  }, [form, technique, growthForm]);
}

/** A mix that the keeper's own label makes up is as strong as that says, until the keeper writes something else. */
function useOwnStrength(form: UseFormReturn, mix: MixId | null, bottles: readonly Bottle[]): void {
  const proposed = useRef("");
  useEffect(() => {
    if (!mix) return;
    const own = String(ownStrength(bottles, mixes[mix].remedy) ?? "");
    if (String(form.getValues("act.strength") ?? "") === proposed.current) form.setValue("act.strength", own);
    proposed.current = own;
  }, [form, mix, bottles]);
}

/** Says that a mix is too weak to do anything. */
function TokenDose({ draft }: { draft: Draft }) {
  const strength = typedNumber(draft.strength);
  if (strength === null) return null;
  const { remedy } = mixes[draft.mix as MixId];
  const potency = potencyAt(remedy, remedy === "alcohol" ? strength / 100 : strength);
  if (potency >= TOKEN_POTENCY) return null;
  return (
    <p className="text-danger-emphasis fw-semibold" role="alert">
      As weak as this it does next to nothing: it counts as what it is.
    </p>
  );
}

/** What speaks against it as it stands in the form: it does nothing to what it is against, or the label says otherwise. */
function Against({
  draft,
  plant: { cases, courses },
  caseId,
  at,
}: {
  draft: Draft;
  plant: ActPlant;
  caseId: unknown;
  at: unknown;
}) {
  const { timeZone } = useCollection();
  const read = anyAct.safeParse(askedFor(draft));
  if (!read.success) return null;
  const done = read.data;
  const pest = cases.find(({ id }) => id === caseId)?.pest;
  // Cards, and ways to water, are no treatment of a plant, and good all the same.
  const treatment = done.kind !== "trap" && done.kind !== "culture" && cleanLookIn(done) === null;
  const pointless = treatment && pest !== undefined && !treats(done, pest);
  const label = labelBefore(draft, at, courses, timeZone);
  const told = [
    ...(pointless ? [`It does nothing against ${pestNames[pest].toLowerCase()}: no treatment of this case.`] : []),
    ...label.map(labelSentence),
  ];
  return told.map((sentence) => (
    <p key={sentence} className="text-danger-emphasis fw-semibold" role="status">
      {sentence}
    </p>
  ));
}

/** What the label has against an act as it stands in the form; nothing where its courses are not known. */
function labelBefore(
  draft: Draft,
  at: unknown,
  courses: Courses | undefined,
  timeZone: string,
): readonly LabelObjection[] {
  const read = anyAct.safeParse(askedFor(draft));
  const when = new Date(String(at));
  if (!courses || !read.success || Number.isNaN(+when)) return [];
  // Hands and water have no label.
  const dose = read.data.kind === "mechanical" ? null : doseIn(read.data);
  return dose ? labelObjections([{ day: dayIn(when, timeZone), dose }], courses) : [];
}

/** A number as it is typed; null for none. */
function typedNumber(typed: unknown): number | null {
  const n = Number(String(typed ?? "").replace(",", "."));
  return n > 0 ? n : null;
}

function HowToMix({ mix, draft, measuring }: { mix: MixId; draft: Draft; measuring: Measuring }) {
  const totalMl = typedNumber(draft.volumeMl);
  const strength = typedNumber(draft.strength);
  if (totalMl === null || totalMl > 20_000) return null;
  // More than all of it is a mistyped number, and told at its field.
  const most = mixes[mix].kind === "cut" || mixes[mix].remedy === "oil" ? 100 : 1000;
  return (
    <details className="mb-3">
      <summary>How to mix it</summary>
      <Amounts
        mix={mix}
        totalMl={totalMl}
        measuring={measuring}
        strength={strength !== null && strength <= most ? strength : null}
      />
    </details>
  );
}

/** What an act is likely to take, once its parameters make sense. */
function Takes({ draft, potCm }: { draft: Draft; potCm: number }) {
  const read = anyAct.safeParse(askedFor(draft));
  if (!read.success) return null;
  const { minutes, volumeMl } = costsOfAct(read.data, potCm);
  return (
    <p className="text-body-secondary">
      It takes about {minutes} min{volumeMl > 0 && ` and ${millilitres(volumeMl)}`}.
    </p>
  );
}
