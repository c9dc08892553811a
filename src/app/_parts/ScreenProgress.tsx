import type { ReactNode } from "react";

/** How far a walk or a session is: a bar, and the words below it. */
export function ScreenProgress({ done, of, children }: { done: number; of: number; children: ReactNode }) {
  return (
    <div className="walk-progress">
      <div
        className="progress"
        role="progressbar"
        aria-label="Done"
        aria-valuemin={0}
        aria-valuemax={of}
        aria-valuenow={done}
      >
        <div className="progress-bar" style={{ width: `${(100 * done) / Math.max(1, of)}%` }} />
      </div>
      <div className="small">{children}</div>
    </div>
  );
}
