"use client";

import { Library, Settings } from "lucide-react";
import Link from "next/link";
import { usePathname } from "next/navigation";
import { Flower } from "../mark/Flower";
import { useCollectionIfAny } from "./Collection";
import { roomsFor } from "./rooms";
import { ThemeSwitch } from "./ThemeSwitch";

/** On a phone the bar is for the rooms of the work: the collection and its settings are in the corner of the page. */
export function Corner() {
  const shown = useCollectionIfAny();
  const path = usePathname();
  if (!shown || path === "/begin") return null;
  return (
    <nav aria-label="Corner" className="corner-links d-lg-none">
      <Link href="/begin" aria-label={`Collection: ${shown.name}. Choose another`}>
        <Library size={22} aria-hidden />
      </Link>
      {path !== "/settings" && (
        <Link href="/settings" aria-label="Settings">
          <Settings size={22} aria-hidden />
        </Link>
      )}
    </nav>
  );
}

/** The rooms: a rail on a laptop, a bar on a phone. Without a collection there is none to go to. */
export function Rail() {
  const path = usePathname();
  const shown = useCollectionIfAny();
  return (
    <nav className="rail" aria-label="Rooms">
      <div className="rail-name">
        <Flower state="surer" petals={3} size="small" silent />
        Wary Petal
      </div>
      <ul>
        {shown &&
          roomsFor(shown.role).map(({ href, name, Icon }) => (
            <li key={href} className={href === "/settings" ? "corner d-none d-lg-block" : undefined}>
              <Link href={href} aria-current={path.startsWith(href) ? "page" : undefined}>
                <Icon size={20} aria-hidden />
                {name}
              </Link>
            </li>
          ))}
        {shown && (
          <li className="d-none d-lg-block">
            <Link href="/begin" aria-current={path === "/begin" ? "page" : undefined}>
              <Library size={20} aria-hidden />
              <span className="text-truncate">{shown.name}</span>
              <span className="visually-hidden">: choose another collection</span>
            </Link>
          </li>
        )}
        {/* On a phone the bar has no room for it: it is in the settings there. */}
        <li className="d-none d-lg-block">
          <ThemeSwitch />
        </li>
      </ul>
    </nav>
  );
}
