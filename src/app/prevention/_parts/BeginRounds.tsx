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
import { choice, date, FieldList, number, select } from "@/ui/fields/FieldList";
import { named } from "@/ui/fields/options";
import { SubmitRow } from "@/ui/fields/fields";
import { eveningFields } from "@/app/_parts/eveningFields";
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
  const choosePlace = (id: string) => {
    setPlaceId(id);
    form.setValue("chosen", begun(rounds.find((one) => (one.placeId ?? "") === id)?.chosen ?? null));
  };
  const months = monthNames.map((name, i) => [String(i + 1), name] as const);
  return (
    <form onSubmit={submit} onChange={() => setSaved(false)} noValidate>
      <FieldList
        form={form}
        fields={[
          select(
            "placeId",
            "For",
            [["", "The whole collection"], ...places.map(({ id, name }) => [id, name] as const)],
            {
              onChoose: choosePlace,
            },
          ),
          choice("chosen.mix", "With", named(roundMixes, mixNames), {
            onChoose: (mix) => form.setValue("chosen.everyDays", String(usualDays[mix as RoundMixId])),
          }),
          choice("chosen.who", "On", [
            ["prone", "The most prone plants"],
            ["all", "All that tolerate it"],
          ]),
        ]}
      />
      <FieldList
        form={form}
        columns={["col-6"]}
        fields={[
          number("chosen.everyDays", "Every … days"),
          select("chosen.rhythm", "Rhythm", named(roundRhythms, rhythmNames)),
          select("chosen.fromMonth", "From", months),
          select("chosen.untilMonth", "Until the end of", months),
          ...eveningFields,
          date("chosen.pausedUntil", "Paused until", "Empty: not paused."),
        ]}
      />
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
