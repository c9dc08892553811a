import Card from "react-bootstrap/Card";
import CardBody from "react-bootstrap/CardBody";
import type { ReactNode } from "react";

/** A white panel with a heading. */
export function Panel({ title, children, tone }: { title: ReactNode; children: ReactNode; tone?: "loud" }) {
  return (
    <Card as="section" className={`mb-3 ${tone === "loud" ? "border-danger border-2" : ""}`}>
      <CardBody>
        <h2>{title}</h2>
        {children}
      </CardBody>
    </Card>
  );
}
