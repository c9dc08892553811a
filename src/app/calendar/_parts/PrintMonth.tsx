"use client";

import Button from "react-bootstrap/Button";

export function PrintMonth() {
  return (
    <Button className="no-print" onClick={() => print()}>
      Print
    </Button>
  );
}
