"use client";

import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { z } from "zod";
import { beginProgrammeAction } from "@/app/_parts/actions";
import { beginProgramme } from "@/core/record/facts/kinds/roomProgramme";
import { predatorIds } from "@/core/knowledge/remedies/lasting";
import { FieldList, number, select } from "@/ui/fields/FieldList";
import { named } from "@/ui/fields/options";
import { SubmitRow } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";
import { predatorNames } from "@/wording/names/acts";

/** Predators hung at a place before anything is found, and renewed as sachets run out. */
export function BeginGuests({
  places,
}: {
  places: readonly { readonly id: string; readonly name: string; readonly cabinet: boolean }[];
}) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: beginProgramme as z.ZodType<unknown, Typed>,
    action: beginProgrammeAction,
    defaults: () => ({
      id: uuidv7(),
      placeId: places[0]?.id ?? "",
      chosen: { programme: "guests" as const, predator: "predatoryMites", sachets: "6", everyDays: "35" },
    }),
    done: () => {
      form.setValue("id", uuidv7());
      router.refresh();
    },
  });
  return (
    <form onSubmit={submit} noValidate>
      <p className="small">
        No sprays for two weeks before, and none while they live. A sachet lasts four to six weeks. Beetles work against
        mealybugs only in a closed cabinet.
      </p>
      <FieldList
        form={form}
        fields={[
          select("chosen.predator", "Which", named(predatorIds, predatorNames)),
          select(
            "placeId",
            "Where",
            places.map(({ id, name, cabinet }) => [id, cabinet ? `${name} (closed cabinet)` : name]),
          ),
        ]}
      />
      <FieldList
        form={form}
        columns={["col-6"]}
        fields={[number("chosen.sachets", "Sachets"), number("chosen.everyDays", "Renew every … days")]}
      />
      <SubmitRow form={form} trouble={trouble} label="Start" variant="outline-primary" />
    </form>
  );
}

/** The form as it is typed. */
interface Typed {
  id: string;
  placeId: string;
  chosen: { programme: "guests"; predator: string; sachets: string; everyDays: string };
}
