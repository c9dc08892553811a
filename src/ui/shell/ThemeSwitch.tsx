"use client";

import { Moon } from "lucide-react";
import { useTheme } from "next-themes";

/** Turns the night theme on or off and remembers it in this browser. */
export function ThemeSwitch({ className }: { className?: string }) {
  const { resolvedTheme, setTheme } = useTheme();
  return (
    <button type="button" className={className} onClick={() => setTheme(resolvedTheme === "dark" ? "light" : "dark")}>
      <Moon size={20} aria-hidden />
      Night
    </button>
  );
}
