import Button from "react-bootstrap/Button";

/** Says that the reckoning broke off in this browser, and asks once more when pressed. */
export function NotReckoned({ again }: { again: () => void }) {
  return (
    <div role="alert">
      <p>It could not be worked out in this browser. Your record is not affected.</p>
      <Button variant="outline-primary" onClick={again}>
        Try again
      </Button>
    </div>
  );
}
