import { Link } from "@/ui/Link";
import type { RoomDue } from "@/core/schedule/calendar/entries";
import type { Day } from "@/core/shared/days";
import { Panel } from "@/ui/Panel";
import { roomDueInWords, roomPath } from "@/wording/record/calendar";
import { fromToday } from "@/wording/dates";

/** What programmes of rooms and of the whole collection ask for, and where they are. */
export function RoomDues({ dues, day }: { dues: readonly RoomDue[]; day: Day }) {
  const now = dues.some(({ on }) => on <= day);
  return (
    <Panel title="Rooms and seasons" tone={now ? "proposed" : undefined}>
      {dues.length > 0 && (
        <ul className="mb-2 ps-3">
          {dues.map((due, i) => (
            <li key={i} className={due.on <= day ? "fw-semibold" : undefined}>
              <Link href={roomPath(due)}>{roomDueInWords(due.what, due.placeName)}</Link>, {fromToday(due.on, day)}
            </li>
          ))}
        </ul>
      )}
      <div className="d-flex flex-wrap gap-2">
        <Link className="btn btn-outline-primary" href="/calendar">
          Calendar
        </Link>
        <Link className="btn btn-outline-primary" href="/wintering">
          In for winter
        </Link>
        <Link className="btn btn-outline-primary" href="/prevention">
          Prevention
        </Link>
      </div>
    </Panel>
  );
}
