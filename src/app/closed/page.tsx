import type { Metadata } from "next";
import Link from "next/link";

export const metadata: Metadata = { title: "Not open to you" };

export default function ClosedPage() {
  return (
    <div className="narrow">
      <h1>Not open to you</h1>
      <p>
        Your role in this collection does not reach here. Whoever owns the collection can change that.{" "}
        <Link href="/today">Back to today</Link>
      </p>
    </div>
  );
}
