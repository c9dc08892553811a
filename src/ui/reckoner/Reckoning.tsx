/** How far a long reckoning is, 0–1. */
export function Reckoning({ share }: { share: number }) {
  return (
    <div
      className="progress mb-3"
      role="progressbar"
      aria-label="Working it out"
      aria-valuenow={Math.round(share * 100)}
    >
      <div className="progress-bar" style={{ width: `${share * 100}%` }} />
    </div>
  );
}
