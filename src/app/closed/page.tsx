import type { Metadata } from "next";
import { Link } from "@/ui/Link";

export const metadata: Metadata = { title: "You do not have access" };

export default function ClosedPage() {
  return (
    <div className="narrow">
      <h1>You do not have access</h1>
      <p>
        Your role in this collection does not include this page. The owner of the collection can change that.{" "}
        <Link href="/today">Back to Today</Link>
      </p>
    </div>
  );
}
