"use client";

import { usePathname, useRouter } from "next/navigation";
import { useState } from "react";
import Modal from "react-bootstrap/Modal";
import { useHotkeys } from "react-hotkeys-hook";
import { rooms } from "./navigation";

/** Keys of single screens, by the beginning of their address. */
const screenKeys: readonly (readonly [path: string, keys: readonly (readonly [key: string, what: string])[]])[] = [
  [
    "/walk/",
    [
      ["n", "Nothing found, next"],
      ["f", "Found something"],
      ["1 … 9", "A place, looked at or not"],
      ["v", "The far side, seen or not"],
      ["x", "Skip"],
      ["u", "Undo"],
      ["c", "Hands and tools cleaned"],
    ],
  ],
];

/** `g` and a letter goes to a room; `?` lists the keys. Every key has a button elsewhere. */
export function Keys() {
  const router = useRouter();
  const path = usePathname();
  const [listed, setListed] = useState(false);
  // On most keyboards it takes Shift, on some none.
  useHotkeys("?", () => setListed(true), { useKey: true, ignoreModifiers: true });
  useHotkeys(
    rooms.map(({ key }) => `g>${key}`),
    (_event, { keys }) => {
      const room = rooms.find(({ key }) => key === keys?.at(-1));
      if (room) router.push(room.href);
    },
    { sequenceTimeoutMs: 1500 },
  );
  return (
    <Modal show={listed} onHide={() => setListed(false)} aria-labelledby="keys-title">
      <Modal.Header closeButton>
        <Modal.Title id="keys-title" as="h2">
          Keys
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <dl className="row mb-0">
          {screenKeys
            .filter(([begin]) => path.startsWith(begin))
            .flatMap(([, keys]) => keys)
            .map(([key, what]) => (
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
