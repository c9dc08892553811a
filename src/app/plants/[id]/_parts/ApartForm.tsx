"use client";

import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { z } from "zod";
import { setApartAction } from "@/app/_parts/actions";
import { setApart } from "@/core/record/facts/kinds/placement";
import { ChoiceField, SubmitRow } from "@/ui/fields/fields";
import { MomentField } from "@/ui/fields/MomentField";
import { useCommand } from "@/ui/fields/useCommand";

const BAG = "bag";
/** A radio button cannot hold null: the bag has a word of its own on the form. */
const onForm = setApart.extend({ placeId: z.string().min(1) });

export function ApartForm({
  plantId,
  places,
  now,
}: {
  plantId: string;
  /** The best first; one that is doubtful is not chosen beforehand. */
  places: readonly { id: string; name: string; doubtful: boolean }[];
  now: string;
}) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: onForm,
    action: (collectionId, input) => {
      const command = input as z.input<typeof onForm>;
      return setApartAction(collectionId, { ...command, placeId: command.placeId === BAG ? null : command.placeId });
    },
    defaults: () => ({
      id: uuidv7(),
      plantId,
      placeId: places.find(({ doubtful }) => !doubtful)?.id ?? BAG,
      bagId: uuidv7(),
      at: now,
    }),
    done: () => router.push(`/plants/${plantId}`),
  });
  return (
    <form onSubmit={submit} noValidate>
      <ChoiceField
        form={form}
        name="placeId"
        label="Where to"
        options={[...places.map((place) => [place.id, place.name] as const), [BAG, "Under a bag, where it is"]]}
      />
      <MomentField form={form} name="at" label="When" />
      <SubmitRow form={form} trouble={trouble} label="Set apart" />
    </form>
  );
}
