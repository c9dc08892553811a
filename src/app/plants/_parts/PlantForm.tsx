"use client";

import { useRouter } from "next/navigation";
import { useEffect } from "react";
import type { UseFormReturn } from "react-hook-form";
import { v7 as uuidv7 } from "uuid";
import { addPlantAction, editPlantAction } from "@/app/_parts/actions";
import { addPlant, editPlant } from "@/core/record/facts/commands";
import type { Plant } from "@/core/record/facts/descriptions";
import { isDay, type Day } from "@/core/shared/days";
import { genera } from "@/core/knowledge/plants/genera";
import { genusIn } from "@/core/knowledge/plants/genusIn";
import { growthFormIds, type GrowthFormId } from "@/core/knowledge/plants/growthForms";
import { sensitivitiesOf } from "@/core/knowledge/plants/care";
import { sensitivities, type Sensitivity } from "@/core/knowledge/plants/sensitivities";
import { moistureIds, type MoistureId } from "@/core/knowledge/plants/moisture";
import { USUAL_PLANT_VALUE, plantValues, type PlantValue } from "@/core/knowledge/plants/plantValue";
import { checks, choice, date, FieldList, quantity, select, text, yesOrNo } from "@/ui/fields/FieldList";
import { named } from "@/ui/fields/options";
import { SubmitRow } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";
import { dayAndYear } from "@/wording/dates";
import { growthFormNames, sensitivityNames } from "@/wording/names/names";
import { keptNames, worthNames } from "@/wording/names/plantValue";

type Described = {
  code: string;
  name: string;
  genus: string;
  growthForm: GrowthFormId;
  potCm: string | number;
  acquiredOn: string | null;
  seller: string;
  inBud?: boolean | undefined;
  worth?: PlantValue | undefined;
  kept?: string | null | undefined;
  inFlower: boolean;
  careAdded?: Sensitivity[] | undefined;
  careWithout?: Sensitivity[] | undefined;
};

/** The label of a plant. Naming a genus the table knows sets the growth form; for others the keeper chooses. */
function Description<T extends Described>(props: { form: UseFormReturn<T> }) {
  // The fields are the same in both forms, whatever else the form carries.
  const form = props.form as unknown as UseFormReturn<Described>;
  const genus = form.watch("genus");
  const known = genusIn(genus);
  const acquiredOn = form.watch("acquiredOn") ?? "";
  const ofKind = sensitivitiesOf({ genus, growthForm: form.watch("growthForm") }).map(({ id }) => id);
  useEffect(() => {
    if (known && form.formState.dirtyFields.genus) form.setValue("growthForm", known.form);
  }, [known, form]);
  return (
    <>
      <FieldList
        form={form}
        columns={["col-sm-4", "col-sm-8"]}
        fields={[text("code", "Code on the label"), text("name", "Name")]}
      />
      <FieldList
        form={form}
        fields={[
          text("genus", "Genus", {
            list: "genera",
            hint:
              genus && !known
                ? "This genus is not in the table: choose the closest growth form. The cautions for that form apply."
                : "Sets the growth form and what the plant tolerates.",
          }),
          select("growthForm", "Growth form", named(growthFormIds, growthFormNames)),
          quantity("potCm", "width", "Pot width", "The amount of spray is estimated from it."),
        ]}
      />
      <datalist id="genera">
        {genera.map(({ name, english }) => (
          <option key={name} value={name}>
            {english.join(", ")}
          </option>
        ))}
      </datalist>
      <FieldList
        form={form}
        columns={["col-sm-4", "col-sm-8"]}
        fields={[
          date("acquiredOn", "Acquired on", isDay(acquiredOn) && `${dayAndYear(acquiredOn)}.`),
          text("seller", "Seller", { hint: "The next plant from there often brings the same pest." }),
        ]}
      />
      <FieldList
        form={form}
        fields={[
          choice("worth", "How much it matters to you", named(plantValues, worthNames), {
            hint: "After a find this is weighed against the work and the plants next to it.",
          }),
          choice("kept", "How moist it is kept", [["", "As usual for its form"], ...named(moistureIds, keptNames)], {
            hint: "Gnats like it wet. Empty: as usual for its form.",
          }),
          yesOrNo("inBud", "In bud", "Use oil and neem on buds only with care."),
          yesOrNo("inFlower", "In flower", "Oil and neem fade open flowers within two days."),
        ]}
      />
      <details className="mb-3">
        <summary>What this plant tolerates, unlike its kind</summary>
        <FieldList
          form={form}
          fields={[
            checks(
              "careAdded",
              "It also",
              named(
                sensitivities.filter((id) => !ofKind.includes(id)),
                sensitivityNames,
              ),
            ),
            ofKind.length > 0 && checks("careWithout", "Not true for this plant", named(ofKind, sensitivityNames)),
          ]}
        />
      </details>
    </>
  );
}

export function AddPlantForm({
  places,
  placeId,
  code,
  mother,
}: {
  places: readonly { id: string; name: string }[];
  placeId: string;
  /** The next free one. */
  code: string;
  /** The plant it is cut from; what is the same on both is filled in. */
  mother?: Pick<Plant, "id" | "name" | "genus" | "growthForm" | "worth" | "careAdded" | "careWithout"> & {
    readonly cutOn: Day;
  };
}) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: addPlant,
    action: addPlantAction,
    defaults: () => ({
      id: uuidv7(),
      placementId: uuidv7(),
      placeId,
      code,
      motherId: mother?.id ?? "",
      name: mother ? `${mother.name}, cutting` : "",
      genus: mother?.genus ?? "",
      growthForm: mother?.growthForm ?? ("uprightShrub" as GrowthFormId),
      potCm: mother ? "7" : "",
      acquiredOn: mother?.cutOn ?? "",
      seller: "",
      inBud: false,
      worth: mother?.worth ?? (USUAL_PLANT_VALUE as PlantValue),
      kept: "" as MoistureId | "",
      inFlower: false,
      careAdded: [...(mother?.careAdded ?? [])],
      careWithout: [...(mother?.careWithout ?? [])],
    }),
    done: ({ id }) => router.push(`/plants/${String(id)}`),
  });
  return (
    <form onSubmit={submit} noValidate>
      <Description form={form} />
      <FieldList
        form={form}
        fields={[
          select(
            "placeId",
            "Where it stands",
            places.map((place) => [place.id, place.name]),
            { hint: "Start a new arrival in an isolation place; it counts as new here until it joins the others." },
          ),
        ]}
      />
      <SubmitRow form={form} trouble={trouble} label="Add the plant" />
    </form>
  );
}

export function EditPlantForm({ plant }: { plant: Plant }) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: editPlant,
    action: editPlantAction,
    defaults: () => ({
      plantId: plant.id,
      code: plant.code,
      name: plant.name,
      genus: plant.genus,
      growthForm: plant.growthForm,
      potCm: String(plant.potCm),
      acquiredOn: plant.acquiredOn ?? "",
      seller: plant.seller,
      inBud: plant.inBud,
      worth: plant.worth,
      kept: (plant.kept ?? "") as MoistureId | "",
      inFlower: plant.inFlower,
      careAdded: [...plant.careAdded],
      careWithout: [...plant.careWithout],
    }),
    done: () => router.push(`/plants/${plant.id}`),
  });
  return (
    <form onSubmit={submit} noValidate>
      <Description form={form} />
      <SubmitRow form={form} trouble={trouble} label="Save" />
    </form>
  );
}
