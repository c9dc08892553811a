import Alert from "react-bootstrap/Alert";
import { wallTimeIn } from "@/zones";
import { standingIn } from "./server/cachedView";
import { ReadAgain } from "./ReadAgain";

/** Says that a page shows what was read earlier, since the database does not answer just now. Stands beneath its heading. */
export function AsOf() {
  const { since } = standingIn();
  if (!since) return null;
  return (
    <Alert variant="warning" role="status">
      <ReadAgain />
      The database does not answer just now. This is as it was at {wallTimeIn(since.at, since.timeZone).slice(11)}; it
      may have changed.
    </Alert>
  );
}
