import { isSecure } from "@/app/_parts/server/peer";
import { icsOf } from "@/app/_parts/server/ics";
import { now } from "@/clock";
import { addDays } from "@/core/shared/days";
import { databaseUrl } from "@/env";
import { contextOfFeed } from "@/operations/access/calendarFeeds";
import { today } from "@/operations/shared/context";
import { readCalendar } from "@/operations/seasons/queries/readCalendar";

/** So far ahead a calendar is told what is due. */
const AHEAD_DAYS = 120;

/** What is due, for whoever knows the private address; nothing else is asked, and nothing else is told. */
export async function GET(request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const { token } = await params;
  const context = await contextOfFeed(databaseUrl(), token.replace(/\.ics$/, ""), now());
  if (!context) return new Response("There is no such calendar.\n", { status: 404 });
  const day = today(context);
  const entries = await readCalendar(context, day, addDays(day, AHEAD_DAYS));
  // Under which name and how it was asked for; the name was checked at the door.
  const origin = `${isSecure(request.headers) ? "https" : "http"}://${request.headers.get("host")}`;
  const { name, id } = context.collection;
  const text = icsOf(entries, { name, collectionId: id, now: context.now, link: (path) => `${origin}${path}` });
  return new Response(text, {
    headers: { "content-type": "text/calendar; charset=utf-8", "cache-control": "private, max-age=300" },
  });
}
