import type { CSSProperties } from "react";
import type { Counted } from "@/core/advice/learning/span";
import { percent } from "@/wording/advice/chances";

/** A share as a mark on the span in which the true one lies; a diamond where it was told to lie. */
export function Span({ counted, told, bare = false }: { counted: Counted; told?: number; bare?: boolean }) {
  const { hits, of, low, high } = counted;
  const style = { "--low": low, "--high": high, "--at": hits / of, "--told": told ?? 0 } as CSSProperties;
  return (
    <span className="taught-span">
      {!bare && <span>{`${hits} of ${of}`}</span>}
      <span
        className="taught-bar"
        style={style}
        role="img"
        aria-label={`${percent(low)} to ${percent(high)}${told === undefined ? "" : `, told ${percent(told)}`}`}
      >
        <i />
        {told !== undefined && <b />}
      </span>
    </span>
  );
}
