"use client";

import { useRouter } from "next/navigation";
import { startTransition } from "react";
import Button from "react-bootstrap/Button";

export default function Trouble({ reset }: { reset: () => void }) {
  const router = useRouter();
  // The page is asked for anew as well: drawing once more what has failed would only fail once more.
  const again = () =>
    startTransition(() => {
      router.refresh();
      reset();
    });
  return (
    <>
      <h1>This page could not be loaded</h1>
      <p>The database may be starting up or out of reach. Nothing you saved is lost.</p>
      <Button onClick={again}>Try again</Button>
    </>
  );
}
