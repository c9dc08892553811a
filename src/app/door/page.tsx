import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { redirect } from "next/navigation";
import { Panel } from "@/ui/Panel";
import { asked, door, NO_NAME } from "../_parts/server/context";
import { LogInForm } from "./_parts/DoorForm";

export const metadata: Metadata = { title: "Sign in" };

const HERE = "http://here.invalid";

/** Where somebody wanted to go: a page of this application, and nowhere else, as the browser itself would read the address. */
function within(to: string | undefined): string {
  const url = to && URL.canParse(to, HERE) ? new URL(to, HERE) : null;
  return url?.origin === HERE ? `${url.pathname}${url.search}${url.hash}` : "/";
}

export default async function DoorPage({ searchParams }: { searchParams: Promise<{ to?: string }> }) {
  const { to } = await searchParams;
  const there = await door();
  if (there.open || there.asker) redirect(within(to));
  const { device } = await asked();
  return (
    <div className="narrow">
      <h1>Sign in</h1>
      <Panel title="Sign in">
        <LogInForm device={device === NO_NAME ? "" : device} to={within(to)} />
      </Panel>
      <p>
        On a phone you need a link: someone who is signed in creates one under Settings, People and devices.{" "}
        <Link href="/door/recover">I forgot my passphrase</Link>
      </p>
    </div>
  );
}
