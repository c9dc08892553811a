"use client";

import Button from "react-bootstrap/Button";

export default function Trouble({ reset }: { reset: () => void }) {
  return (
    <>
      <h1>This page could not be read</h1>
      <p>The database may be starting or out of reach. Nothing you saved is lost.</p>
      <Button onClick={reset}>Try again</Button>
    </>
  );
}
