import { act as anyAct, cleanLookIn, costsOfAct, treats } from "@/core/acts/acts";
import { mixes, type MixId } from "@/core/knowledge/mixes/mixes";
import { potencyAt, TOKEN_POTENCY } from "@/core/knowledge/mixes/potency";
import { pestIds } from "@/core/knowledge/pests/pests";
import { askedFor, type Draft } from "@/ui/acts/actFields";
import { Amounts, type Measuring } from "@/ui/Amounts";
import { useCollection, useUnits } from "@/ui/shell/Collection";
import { pestNames } from "@/wording/names/names";
import { labelSentence } from "@/wording/record/problems";
import { volumeIn } from "@/wording/units";
import type { ActPlant } from "./actPlant";
import { labelBefore } from "./labelBefore";

/** Says that a mix is too weak to do anything. */
export function TokenDose({ draft }: { draft: Draft }) {
  const strength = typedNumber(draft.strength);
  if (strength === null) return null;
  const { remedy } = mixes[draft.mix as MixId];
  const potency = potencyAt(remedy, remedy === "alcohol" ? strength / 100 : strength);
  if (potency >= TOKEN_POTENCY) return null;
  return (
    <p className="text-danger-emphasis fw-semibold" role="alert">
      This weak it does next to nothing, and it is counted accordingly.
    </p>
  );
}

/** What speaks against it as it stands in the form: it does nothing to what it is against, or the label says otherwise. */
export function Against({
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
  // Cards, ways to water and cleaning are no treatment of any pest on a plant, and good all the same.
  const treatment = cleanLookIn(done) === null && pestIds.some((one) => treats(done, one));
  const pointless = treatment && pest !== undefined && !treats(done, pest);
  const label = labelBefore(draft, at, courses, timeZone);
  const told = [
    ...(pointless
      ? [`It does nothing against ${pestNames[pest].toLowerCase()}, so it does not count as a treatment.`]
      : []),
    ...label.map(labelSentence),
  ];
  return told.map((sentence) => (
    <p key={sentence} className="text-danger-emphasis fw-semibold" role="status">
      {sentence}
    </p>
  ));
}

/** A number as it is typed; null for none. */
function typedNumber(typed: unknown): number | null {
  const n = Number(String(typed ?? "").replace(",", "."));
  return n > 0 ? n : null;
}

/** Each bottle of the mix as it stands in the form, folded. */
export function HowToMix({ mix, draft, measuring }: { mix: MixId; draft: Draft; measuring: Measuring }) {
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
export function Takes({ draft, potCm }: { draft: Draft; potCm: number }) {
  const units = useUnits();
  const read = anyAct.safeParse(askedFor(draft));
  if (!read.success) return null;
  const { minutes, volumeMl } = costsOfAct(read.data, potCm);
  return (
    <p className="text-body-secondary">
      It takes about {minutes} min{volumeMl > 0 && ` and ${volumeIn(volumeMl, units)}`}.
    </p>
  );
}
