import type { ReactNode } from "react";
import Offcanvas from "react-bootstrap/Offcanvas";
import OffcanvasBody from "react-bootstrap/OffcanvasBody";
import OffcanvasHeader from "react-bootstrap/OffcanvasHeader";
import OffcanvasTitle from "react-bootstrap/OffcanvasTitle";

/** The rooms that have no place in a phone's bar, on a sheet that thumbs reach. */
export function MoreSheet({ show, onHide, children }: { show: boolean; onHide: () => void; children: ReactNode }) {
  return (
    <Offcanvas show={show} onHide={onHide} placement="bottom" className="more" aria-labelledby="more-title">
      <OffcanvasHeader closeButton>
        <OffcanvasTitle id="more-title" as="h2">
          More
        </OffcanvasTitle>
      </OffcanvasHeader>
      <OffcanvasBody>
        <ul>{children}</ul>
      </OffcanvasBody>
    </Offcanvas>
  );
}
