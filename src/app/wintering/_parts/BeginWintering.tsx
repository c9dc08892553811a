"use client";

import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { z } from "zod";
import { beginProgrammeAction } from "@/app/_parts/actions";
import { addDays, type Day } from "@/core/shared/days";
import { beginProgramme, type Chosen } from "@/core/record/facts/kinds/roomProgramme";
import { winterRemedies } from "@/core/knowledge/routines/winterRemedies";
import { eveningFields } from "@/app/_parts/eveningFields";
import { date, FieldList, number, quantity, select } from "@/ui/fields/FieldList";
import { named } from "@/ui/fields/options";
import { SubmitRow } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";
import { winterRemedyNames } from "@/wording/advice/seasons/seasons";
import { dayInWords } from "@/wording/dates";
import { warmthIn } from "@/wording/units";
import { useUnits } from "@/ui/shell/Collection";

interface PlaceChoice {
  readonly id: string;
  readonly name: string;
  readonly plants: number;
}

const USUAL = { coldestC: 10, weeks: 6, minutes: 90, helpers: 1, dryingPots: 12 } as const;
const IN_DAYS = 42;

/** When the plants come in, where to, and what an evening carries. */
export function BeginWintering({
  outdoors,
  indoors,
  coldNights,
  chosen,
  day,
}: {
  outdoors: readonly PlaceChoice[];
  indoors: readonly (PlaceChoice & { readonly roomFor: number | null })[];
  coldNights: readonly { readonly coldestC: number; readonly day: Day }[];
  /** What was chosen before; null where it is to begin. */
  chosen: Chosen<"wintering"> | null;
  day: Day;
}) {
  const router = useRouter();
  const units = useUnits();
  const [saved, setSaved] = useState(false);
  const { form, submit, trouble } = useCommand({
    schema: beginProgramme as z.ZodType<unknown, Typed>,
    action: beginProgrammeAction,
    defaults: () => ({
      id: uuidv7(),
      placeId: outdoors[0]!.id,
      chosen: {
        programme: "wintering" as const,
        toPlaceId: chosen?.toPlaceId ?? indoors[0]?.id ?? "",
        moveOn:
          chosen?.moveOn ??
          coldNights.find(({ coldestC }) => coldestC === USUAL.coldestC)?.day ??
          addDays(day, IN_DAYS),
        coldestC: String(chosen?.coldestC ?? USUAL.coldestC),
        weeks: String(chosen?.weeks ?? USUAL.weeks),
        remedy: chosen?.remedy ?? "byKind",
        minutes: String(chosen?.minutes ?? USUAL.minutes),
        helpers: String(chosen?.helpers ?? USUAL.helpers),
        dryingPots: String(chosen?.dryingPots ?? USUAL.dryingPots),
      },
    }),
    done: () => {
      setSaved(true);
      form.setValue("id", uuidv7());
      router.refresh();
    },
  });
  const counted = ({ id, name, plants }: PlaceChoice) =>
    [id, `${name} (${plants === 1 ? "1 plant" : `${plants} plants`})`] as const;
  return (
    <form onSubmit={submit} onChange={() => setSaved(false)} noValidate>
      <FieldList
        form={form}
        columns={["col-md-6"]}
        fields={[
          select("placeId", "From", outdoors.map(counted)),
          select("chosen.toPlaceId", "To", indoors.map(counted)),
          date("chosen.moveOn", "In by"),
          quantity("chosen.coldestC", "warmth", "Coldest night they should have"),
        ]}
      />
      {coldNights.length > 0 && (
        <p className="d-flex flex-wrap gap-2 align-items-center">
          From last year’s nights:
          {coldNights.map(({ coldestC, day: on }) => (
            <Button
              key={coldestC}
              size="sm"
              variant="outline-primary"
              onClick={() => {
                form.setValue("chosen.moveOn", on);
                form.setValue("chosen.coldestC", String(coldestC));
              }}
            >
              {warmthIn(coldestC, units)}: {dayInWords(on)}
            </Button>
          ))}
        </p>
      )}
      <FieldList
        form={form}
        columns={["col-6"]}
        fields={[
          number("chosen.weeks", "Start how many weeks before", "Four to six is usual."),
          select("chosen.remedy", "Spray with", named(winterRemedies, winterRemedyNames)),
          ...eveningFields,
        ]}
      />
      {saved && <Alert variant="success">Saved.</Alert>}
      <SubmitRow
        form={form}
        trouble={trouble}
        label={chosen ? "Save this" : "Start"}
        variant={chosen ? "outline-primary" : "primary"}
      />
    </form>
  );
}

/** The form as it is typed. */
interface Typed {
  id: string;
  placeId: string;
  chosen: {
    programme: "wintering";
    toPlaceId: string;
    moveOn: string;
    coldestC: string;
    weeks: string;
    remedy: string;
    minutes: string;
    helpers: string;
    dryingPots: string;
  };
}
