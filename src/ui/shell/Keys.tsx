"use client";

import { usePathname, useRouter } from "next/navigation";
import { useState } from "react";
import dynamic from "next/dynamic";
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

/** No page waits for what is opened seldom. */
const KeyList = dynamic(() => import("./KeyList").then((file) => file.KeyList), { ssr: false });

/** `g` and a letter goes to a room; `?` lists the keys. Every key has a button elsewhere. */
export function Keys() {
  const router = useRouter();
  const path = usePathname();
  const [listed, setListed] = useState(false);
  const [opened, setOpened] = useState(false);
  // On most keyboards it takes Shift, on some none.
  const list = () => {
    setOpened(true);
    setListed(true);
  };
  useHotkeys("?", list, { useKey: true, ignoreModifiers: true });
  useHotkeys(
    rooms.map(({ key }) => `g>${key}`),
    (_event, { keys }) => {
      const room = rooms.find(({ key }) => key === keys?.at(-1));
      if (room) router.push(room.href);
    },
    { sequenceTimeoutMs: 1500 },
  );
  const keys = screenKeys.filter(([begin]) => path.startsWith(begin)).flatMap(([, own]) => own);
  return opened && <KeyList show={listed} onHide={() => setListed(false)} keys={keys} />;
}
