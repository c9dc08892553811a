import Modal from "react-bootstrap/Modal";
import { rooms } from "./navigation";

/** The keys of a screen and those that go to a room. */
export function KeyList({
  show,
  onHide,
  keys,
}: {
  show: boolean;
  onHide: () => void;
  keys: readonly (readonly [key: string, what: string])[];
}) {
  return (
    <Modal show={show} onHide={onHide} aria-labelledby="keys-title">
      <Modal.Header closeButton>
        <Modal.Title id="keys-title" as="h2">
          Keys
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <dl className="row mb-0">
          {keys.map(([key, what]) => (
            <div key={key} className="d-flex gap-3">
              <dt className="col-3">
                <kbd>{key}</kbd>
              </dt>
              <dd>{what}</dd>
            </div>
          ))}
          {rooms.map(({ key, name }) => (
            <div key={key} className="d-flex gap-3">
              <dt className="col-3">
                <kbd>g</kbd> <kbd>{key}</kbd>
              </dt>
              <dd>{name}</dd>
            </div>
          ))}
        </dl>
      </Modal.Body>
    </Modal>
  );
}
