"use client";

import { Moon } from "lucide-react";
import { THEME_KEY } from "./themeScript";

/** Turns the night theme on or off and remembers it in this browser. */
export function ThemeSwitch({ className }: { className?: string }) {
  const turn = () => {
    const root = document.documentElement;
    const next = root.dataset.bsTheme === "dark" ? "light" : "dark";
    root.dataset.bsTheme = next;
    localStorage.setItem(THEME_KEY, next);
  };
  return (
    <button type="button" className={className} onClick={turn}>
      <Moon size={20} aria-hidden />
      Night
    </button>
  );
}
