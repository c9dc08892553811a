import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import type { TimerProposal } from "@/core/acts/timerIds";
import { Link } from "@/ui/Link";
import { plantsInWords } from "@/wording/names/plants";
import { offerInWords } from "@/wording/record/timers";
import type { Written } from "./useGroup";

/** What the last press wrote down: taken back by one more, and what may be timed after it. */
export function LastPress({
  last,
  named,
  onUndo,
  onTimer,
}: {
  last: Written;
  /** Whether it is said what it was. */
  named: boolean;
  onUndo: () => void;
  onTimer: (timer: TimerProposal) => void;
}) {
  const plants = new Set(last.facts.map(({ plantId }) => plantId)).size;
  return (
    <Alert variant="success" role="status" className="d-flex flex-wrap gap-2 align-items-center">
      <span className="flex-grow-1">
        {named && `${last.what}: `}
        {named ? "recorded" : "Recorded"} for {plantsInWords(plants)}.
      </span>
      {last.offered.map((timer) => (
        <Button key={timer.what} size="sm" variant="outline-primary" onClick={() => onTimer(timer)}>
          {offerInWords(timer)}
        </Button>
      ))}
      <Button size="sm" variant="outline-primary" onClick={onUndo}>
        Undo
      </Button>
      <Link className="btn btn-sm btn-outline-primary" href="/today">
        Back to Today
      </Link>
    </Alert>
  );
}
