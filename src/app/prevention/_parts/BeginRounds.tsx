"use client";

import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { z } from "zod";
import { beginProgrammeAction } from "@/app/_parts/actions";
import type { Hemisphere } from "@/core/advice/diagnosis/priors";
import { beginProgramme, type Chosen } from "@/core/record/facts/kinds/roomProgramme";
import { roundMixes, type RoundMixId } from "@/core/advice/seasons/prevention";
import { ChoiceField, SelectField, SubmitRow, TextField } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";
import { mixNames } from "@/wording/names/names";
import { roundRhythms } from "@/core/knowledge/routines/roundRhythms";
import { monthNames, rhythmNames } from "@/wording/advice/seasons/seasons";

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
export function BeginRounds({
  rounds,
  places,
  hemisphere,
}: {
  /** The programmes that run, each of its place, or of the whole collection. */
  rounds: readonly { readonly placeId: string | null; readonly chosen: Chosen<"prevention"> }[];
  places: readonly { readonly id: string; readonly name: string }[];
  hemisphere: Hemisphere;
}) {
  const router = useRouter();
  const [saved, setSaved] = useState(false);
  const [placeId, setPlaceId] = useState(rounds[0]?.placeId ?? "");
  const running = rounds.find((one) => (one.placeId ?? "") === placeId)?.chosen ?? null;
  const begun = (chosen: Chosen<"prevention"> | null): Typed["chosen"] => ({
    programme: "prevention" as const,
    mix: chosen?.mix ?? "oil1",
    technique: "spray" as const,
    who: chosen?.who ?? "prone",
    everyDays: String(chosen?.everyDays ?? usualDays.oil1),
    rhythm: chosen?.rhythm ?? "steady",
    pausedUntil: chosen?.pausedUntil ?? "",
    fromMonth: String(chosen?.fromMonth ?? SEASON[hemisphere][0]),
    untilMonth: String(chosen?.untilMonth ?? SEASON[hemisphere][1]),
    minutes: String(chosen?.minutes ?? 90),
    helpers: String(chosen?.helpers ?? 1),
    dryingPots: String(chosen?.dryingPots ?? 12),
  });
  const { form, submit, trouble } = useCommand({
    schema: beginProgramme as z.ZodType<unknown, Typed>,
    action: beginProgrammeAction,
    defaults: () => ({ id: uuidv7(), placeId, chosen: begun(running) }),
    done: () => {
      setSaved(true);
      form.setValue("id", uuidv7());
      router.refresh();
    },
  });
  const months = monthNames.map((name, i) => [String(i + 1), name] as const);
  return (
    <form onSubmit={submit} onChange={() => setSaved(false)} noValidate>
      <SelectField
        form={form}
        name="placeId"
        label="For"
        options={[["", "The whole collection"], ...places.map(({ id, name }) => [id, name] as const)]}
        onChoose={(id) => {
          setPlaceId(id);
          form.setValue("chosen", begun(rounds.find((one) => (one.placeId ?? "") === id)?.chosen ?? null));
        }}
      />
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
          ["prone", "The most prone plants"],
          ["all", "All that tolerate it"],
        ]}
      />
      <div className="row gx-3">
        <div className="col-6">
          <TextField form={form} name="chosen.everyDays" label="Every … days" inputMode="decimal" />
        </div>
        <div className="col-6">
          <SelectField
            form={form}
            name="chosen.rhythm"
            label="Rhythm"
            options={roundRhythms.map((one) => [one, rhythmNames[one]])}
          />
        </div>
        <div className="col-6">
          <TextField form={form} name="chosen.pausedUntil" type="date" label="Paused until" hint="Empty: not paused." />
        </div>
        <div className="col-6">
          <TextField
            form={form}
            name="chosen.dryingPots"
            label="Pots that can dry at the same time"
            inputMode="decimal"
          />
        </div>
        <div className="col-6">
          <SelectField form={form} name="chosen.fromMonth" label="From" options={months} />
        </div>
        <div className="col-6">
          <SelectField form={form} name="chosen.untilMonth" label="Until the end of" options={months} />
        </div>
        <div className="col-6">
          <TextField form={form} name="chosen.minutes" label="Minutes per evening" inputMode="decimal" />
        </div>
        <div className="col-6">
          <TextField form={form} name="chosen.helpers" label="People" inputMode="decimal" />
        </div>
      </div>
      {saved && <Alert variant="success">Saved.</Alert>}
      <SubmitRow
        form={form}
        trouble={trouble}
        label={running ? "Save this" : "Start"}
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
    rhythm: string;
    pausedUntil: string;
    fromMonth: string;
    untilMonth: string;
    minutes: string;
    helpers: string;
    dryingPots: string;
  };
}
