import type { GrowthFormId } from "@/core/knowledge/plants/growthForms";
import { drawings } from "./index";
import type { Form } from "./shapes";

/** A pot seen from the side, plain enough for a thumb's breadth. */
const POT = "M96 230H224V246H216L208 306H112L104 246H96Z";

/** Every growth form as a silhouette in its pot, drawn once per page; {@link Silhouette} points at them. */
export function SilhouetteSprite({ forms }: { forms: readonly GrowthFormId[] }) {
  return (
    <svg width="0" height="0" aria-hidden="true" style={{ position: "absolute" }}>
      <defs>
        {forms.map((form) => {
          const { lines, unpotted }: Pick<Form, "lines" | "unpotted"> = drawings[form];
          return (
            <symbol key={form} id={`form-${form}`} viewBox="0 0 320 320">
              <path
                d={lines.map(({ d }) => d).join("")}
                fill="currentColor"
                stroke="currentColor"
                strokeWidth="5"
                strokeLinejoin="round"
                strokeLinecap="round"
                fillOpacity="0.75"
              />
              {!unpotted && <path d={POT} className="silhouette-pot" />}
            </symbol>
          );
        })}
      </defs>
    </svg>
  );
}

/** A plant of a form in its pot, as it stands on a shelf. */
export function Silhouette({ form }: { form: GrowthFormId }) {
  return (
    <svg className="silhouette" viewBox="0 0 320 320" aria-hidden="true">
      <use href={`#form-${form}`} width="320" height="320" />
    </svg>
  );
}
