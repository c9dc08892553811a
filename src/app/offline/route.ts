/** Stands for pages that this browser has not kept. It names nobody and nothing: whoever opens it may be anybody. */
const PAGE = `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>No connection · Wary Petal</title>
<style>
  body { font: 1rem/1.5 system-ui, sans-serif; color: #241530; background: #f7f5fa; margin: 2rem auto; max-width: 34rem; padding: 0 1rem }
  a { color: inherit; display: inline-block; padding: .7rem 0 }
  @media (prefers-color-scheme: dark) { body { color: #efe9f5; background: #1b1322 } }
</style>
<main>
  <h1>No connection</h1>
  <p>This page is not saved on this device. These open as you last saw them, and what you record on a walk is kept
  and sent when the connection is back:</p>
  <p><a href="/today">Today</a><br><a href="/walk">Walk</a><br><a href="/mixing">Mixing</a><br><a href="/almanac">Almanac</a></p>
</main>
</html>
`;

export const dynamic = "force-static";

export function GET(): Response {
  return new Response(PAGE, { headers: { "content-type": "text/html; charset=utf-8" } });
}
