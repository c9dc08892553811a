"use client";

import { usePathname, useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import Modal from "react-bootstrap/Modal";
import { rooms } from "./rooms";

/** How long after `g` a room's letter still counts. */
const CHORD_MS = 1500;

export const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

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
  useEffect(() => {
    let chordUntil = 0;
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      if (event.key === "?") setListed(true);
      else if (event.key === "g") chordUntil = event.timeStamp + CHORD_MS;
      else if (event.timeStamp < chordUntil) {
        chordUntil = 0;
        const room = rooms.find(({ key }) => key === event.key);
        if (room) router.push(room.href);
      }
    };
    addEventListener("keydown", press);
    return () => removeEventListener("keydown", press);
  }, [router]);
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
