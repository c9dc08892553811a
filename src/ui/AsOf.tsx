import Alert from "react-bootstrap/Alert";
import { wallTimeIn } from "@/zones";

/** Says that a page shows what was read earlier, since the database does not answer just now. */
export function AsOf({ at, timeZone }: { at: Date | null; timeZone: string }) {
  if (!at) return null;
  return (
    <Alert variant="warning" role="status">
      The database does not answer just now. This is as it was at {wallTimeIn(at, timeZone).slice(11)}; it may have
      changed.
    </Alert>
  );
}
