"use client";

import { Ellipsis, Library } from "lucide-react";
import { Link } from "@/ui/Link";
import { usePathname } from "next/navigation";
import { useState } from "react";
import dynamic from "next/dynamic";
import { Flower } from "../mark/Flower";
import { useCollectionIfAny } from "./Collection";
import { isIn, roomsFor } from "./navigation";
import { ThemeSwitch } from "./ThemeSwitch";

/** No page waits for what is opened seldom. */
const MoreSheet = dynamic(() => import("./MoreSheet").then((file) => file.MoreSheet), { ssr: false });

/** The rooms: a rail on a laptop; a bar on a phone, with the rest on a sheet that thumbs reach. Without a collection there is none to go to. */
export function Rail() {
  const path = usePathname();
  const shown = useCollectionIfAny();
  const [more, setMore] = useState(false);
  const [opened, setOpened] = useState(false);
  const all = shown ? roomsFor(shown.role) : [];
  const isHere = (href: string) => (isIn(href, path) ? "page" : undefined);
  const behind = all.filter(({ bar }) => !bar);
  const collection = (className?: string) =>
    shown && (
      <li className={className}>
        <Link href="/begin" aria-current={path === "/begin" ? "page" : undefined} onClick={() => setMore(false)}>
          <Library size={20} aria-hidden />
          <span className="text-truncate">{shown.name}</span>
          <span className="visually-hidden">: change collection</span>
        </Link>
      </li>
    );
  return (
    <nav className="rail" aria-label="Rooms">
      <div className="rail-name">
        <Flower state="surer" petals={3} size="small" silent />
        Wary Petal
      </div>
      <ul>
        {all.map(({ href, name, Icon, bar }) => (
          <li key={href} className={`${href === "/settings" ? "corner " : ""}${bar ? "" : "d-none d-lg-block"}`}>
            <Link href={href} aria-current={isHere(href)}>
              <Icon size={20} aria-hidden />
              {name}
            </Link>
          </li>
        ))}
        {shown && (
          <li className="d-lg-none">
            <button
              type="button"
              aria-haspopup="dialog"
              aria-current={behind.some(({ href }) => isIn(href, path)) ? "page" : undefined}
              onClick={() => {
                setOpened(true);
                setMore(true);
              }}
            >
              <Ellipsis size={20} aria-hidden />
              More
            </button>
          </li>
        )}
        {collection("d-none d-lg-block")}
        <li className="d-none d-lg-block">
          <ThemeSwitch />
        </li>
      </ul>
      {opened && (
        <MoreSheet show={more} onHide={() => setMore(false)}>
          {behind.map(({ href, name, Icon }) => (
            <li key={href}>
              <Link href={href} aria-current={isHere(href)} onClick={() => setMore(false)}>
                <Icon size={20} aria-hidden />
                {name}
              </Link>
            </li>
          ))}
          {collection()}
          <li>
            <ThemeSwitch />
          </li>
        </MoreSheet>
      )}
    </nav>
  );
}
