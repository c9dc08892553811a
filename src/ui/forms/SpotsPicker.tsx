import type { ReactNode } from "react";
import type { GrowthFormId } from "@/core/knowledge/plants/growthForms";
import type { SpotId } from "@/core/knowledge/plants/spots";
import { spotNames } from "@/wording/names/names";
import { FormDrawing } from "./FormDrawing";

/** Hiding places to press, on the drawing and in a list with the same numbers. */
export function SpotsPicker({
  form,
  order,
  ticked,
  onPress,
  children,
}: {
  form: GrowthFormId;
  order: readonly SpotId[];
  ticked: readonly SpotId[];
  onPress: (spot: SpotId) => void;
  /** What stands between the drawing and the list. */
  children?: ReactNode;
}) {
  return (
    <div className="spots-picker">
      <FormDrawing form={form} order={order} ticked={ticked} onPress={onPress} />
      {children}
      <div className="spot-list">
        {order.map((spot, i) => (
          <button
            key={spot}
            type="button"
            className="spot"
            aria-pressed={ticked.includes(spot)}
            onClick={() => onPress(spot)}
          >
            <span className="spot-number" aria-hidden>
              {i + 1}
            </span>{" "}
            <span>{spotNames[spot]}</span>
          </button>
        ))}
      </div>
    </div>
  );
}
