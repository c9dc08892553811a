"use client";

import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { z } from "zod";
import { beginProgrammeAction } from "@/app/_parts/actions";
import type { Hemisphere } from "@/core/diagnosis/priors";
import { beginProgramme, type Chosen } from "@/core/facts/kinds/roomProgramme";
import { roundMixes, type RoundMixId } from "@/core/rooms/prevention";
import { ChoiceField, SelectField, SubmitRow, TextField } from "@/ui/fields/fields";
import { useDeed } from "@/ui/fields/useDeed";
import { mixNames } from "@/wording/names";
import { monthNames } from "@/wording/rooms";

/** How often, by what the schools say: oil every season, neem every two to three weeks (common practice). */
const usualDays: Readonly<Record<RoundMixId, number>> = {
  oil1: 90,
  oil2: 90,
  neemWeak: 18,
  neemUsual: 18,
  soapMild: 30,
};
/** Spring to autumn. */
const SEASON = { north: ["3", "10"], south: ["9", "4"] } as const;

/** Rounds over the whole collection: with what, on whom, how often, in which months. */
export function BeginRounds({ running, hemisphere }: { running: Chosen<"prevention"> | null; hemisphere: Hemisphere }) {
  const router = useRouter();
  const [saved, setSaved] = useState(false);
  const { form, submit, trouble } = useDeed({
    schema: beginProgramme as z.ZodType<unknown, Typed>,
    action: beginProgrammeAction,
    defaults: () => ({
      id: uuidv7(),
      placeId: "",
      chosen: {
        programme: "prevention" as const,
        mix: running?.mix ?? "oil1",
        technique: "spray" as const,
        who: running?.who ?? "prone",
        everyDays: String(running?.everyDays ?? usualDays.oil1),
        fromMonth: String(running?.fromMonth ?? SEASON[hemisphere][0]),
        untilMonth: String(running?.untilMonth ?? SEASON[hemisphere][1]),
        minutes: String(running?.minutes ?? 90),
        helpers: String(running?.helpers ?? 1),
        dryingPots: String(running?.dryingPots ?? 12),
      },
    }),
    done: () => {
      setSaved(true);
      form.setValue("id", uuidv7());
      router.refresh();
    },
  });
  const months = monthNames.map((name, i) => [String(i + 1), name] as const);
  return (
    <form onSubmit={submit} onChange={() => setSaved(false)} noValidate>
      <ChoiceField
        form={form}
        name="chosen.mix"
        label="With"
        options={roundMixes.map((mix) => [mix, mixNames[mix]])}
        onChoose={(mix) => form.setValue("chosen.everyDays", String(usualDays[mix as RoundMixId]))}
      />
      <ChoiceField
        form={form}
        name="chosen.who"
        label="On"
        options={[
          ["prone", "The prone kinds"],
          ["all", "Everyone that bears it"],
        ]}
      />
      <div className="row gx-3">
        <div className="col-6">
          <TextField form={form} name="chosen.everyDays" label="Every so many days" inputMode="decimal" />
        </div>
        <div className="col-6">
          <TextField form={form} name="chosen.dryingPots" label="Pots that can dry at once" inputMode="decimal" />
        </div>
        <div className="col-6">
          <SelectField form={form} name="chosen.fromMonth" label="From" options={months} />
        </div>
        <div className="col-6">
          <SelectField form={form} name="chosen.untilMonth" label="Until the end of" options={months} />
        </div>
        <div className="col-6">
          <TextField form={form} name="chosen.minutes" label="Minutes of an evening" inputMode="decimal" />
        </div>
        <div className="col-6">
          <TextField form={form} name="chosen.helpers" label="Hands" inputMode="decimal" />
        </div>
      </div>
      {saved && <Alert variant="success">Saved.</Alert>}
      <SubmitRow
        form={form}
        trouble={trouble}
        label={running ? "Go on with this" : "Begin"}
        variant={running ? "outline-primary" : "primary"}
      />
    </form>
  );
}

/** The form as it is typed. */
interface Typed {
  id: string;
  placeId: string;
  chosen: {
    programme: "prevention";
    mix: string;
    technique: "spray";
    who: string;
    everyDays: string;
    fromMonth: string;
    untilMonth: string;
    minutes: string;
    helpers: string;
    dryingPots: string;
  };
}
