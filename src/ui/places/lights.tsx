/** Drawings of where light comes from; what they show stands in words beside them. */
interface Props {
  readonly className?: string;
}

/** A window seen from within: two panes and their bar. */
export function Window({ className = "" }: Props) {
  return (
    <svg className={`light ${className}`} viewBox="0 0 64 20" aria-hidden preserveAspectRatio="none">
      <rect className="light-pane" x="1" y="4" width="62" height="12" />
      <path className="light-frame" d="M1 4h62M1 16h62M1 4v12M32 4v12M63 4v12" />
    </svg>
  );
}

/** A lamp over a board, with its cone of light. */
export function Lamp({ className = "" }: Props) {
  return (
    <svg className={`light ${className}`} viewBox="0 0 64 20" aria-hidden>
      <path className="light-cone" d="M20 7h24l16 13H4Z" />
      <path className="light-frame" d="M32 0v3M18 3h28v4H18Z" />
    </svg>
  );
}

/** A drop that falls from a board. */
export function Drop({ className = "" }: Props) {
  return (
    <svg className={`light ${className}`} viewBox="0 0 12 20" aria-hidden>
      <path className="light-drop" d="M6 2c3 5 5 8 5 11a5 5 0 0 1-10 0c0-3 2-6 5-11Z" />
    </svg>
  );
}
