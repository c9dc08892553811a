import { Link } from "@/ui/Link";

export default function NotFound() {
  return (
    <>
      <h1>Page not found</h1>
      <p>There is no such page, or its entry has been struck out.</p>
      <Link className="btn btn-primary" href="/today">
        Back to Today
      </Link>
    </>
  );
}
