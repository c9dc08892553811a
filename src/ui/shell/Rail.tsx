"use client";

import { Settings } from "lucide-react";
import Link from "next/link";
import { usePathname } from "next/navigation";
import { Flower } from "../mark/Flower";
import { rooms } from "./rooms";
import { ThemeSwitch } from "./ThemeSwitch";

/** On a phone the bar is for the rooms of the work: settings are in the corner of the page. */
export function CornerSettings() {
  if (usePathname() === "/settings") return null;
  return (
    <nav aria-label="Corner" className="corner-settings d-lg-none">
      <Link href="/settings" aria-label="Settings">
        <Settings size={22} aria-hidden />
      </Link>
    </nav>
  );
}

/** The rooms: a rail on a laptop, a bar on a phone. */
export function Rail() {
  const path = usePathname();
  return (
    <nav className="rail" aria-label="Rooms">
      <div className="rail-name">
        <Flower state="surer" petals={3} size="small" silent />
        Wary Petal
      </div>
      <ul>
        {rooms.map(({ href, name, Icon }) => (
          <li key={href} className={href === "/settings" ? "corner d-none d-lg-block" : undefined}>
            <Link href={href} aria-current={path.startsWith(href) ? "page" : undefined}>
              <Icon size={20} aria-hidden />
              {name}
            </Link>
          </li>
        ))}
        {/* On a phone the bar has no room for it: it is in the settings there. */}
        <li className="d-none d-lg-block">
          <ThemeSwitch />
        </li>
      </ul>
    </nav>
  );
}
