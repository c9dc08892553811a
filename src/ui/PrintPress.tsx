"use client";

import Button from "react-bootstrap/Button";

export function PrintPress() {
  return (
    <Button className="mb-2 no-print" onClick={() => print()}>
      Print
    </Button>
  );
}
