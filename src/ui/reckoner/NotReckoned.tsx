import Button from "react-bootstrap/Button";

/** Says that the reckoning broke off in this browser, and asks once more when pressed. */
export function NotReckoned({ again }: { again: () => void }) {
  return (
    <div role="alert">
      <p>It could not be reckoned in this browser just now. What is on record is not touched by that.</p>
      <Button variant="outline-primary" onClick={again}>
        Reckon again
      </Button>
    </div>
  );
}
