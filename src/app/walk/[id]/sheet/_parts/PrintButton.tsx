"use client";

import Button from "react-bootstrap/Button";

export function PrintButton() {
  return <Button onClick={() => print()}>Print</Button>;
}
