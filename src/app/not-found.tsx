import Link from "next/link";

export default function NotFound() {
  return (
    <>
      <h1>Not here</h1>
      <p>There is no such page, or what it showed has been struck out.</p>
      <Link className="btn btn-primary" href="/today">
        To today
      </Link>
    </>
  );
}
