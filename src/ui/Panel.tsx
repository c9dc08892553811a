import Card from "react-bootstrap/Card";
import CardBody from "react-bootstrap/CardBody";
import type { ReactNode } from "react";

const borders = { loud: "border-danger border-2", proposed: "border-primary border-2" } as const;

/** A white panel with a heading. */
export function Panel({
  title,
  children,
  tone,
}: {
  title: ReactNode;
  children: ReactNode;
  tone?: "loud" | "proposed";
}) {
  return (
    <Card as="section" className={`mb-3 ${tone ? borders[tone] : ""}`}>
      <CardBody>
        <h2>{title}</h2>
        {children}
      </CardBody>
    </Card>
  );
}
