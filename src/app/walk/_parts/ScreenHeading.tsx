"use client";

import { useEffect, useRef, type ReactNode } from "react";

/** The heading of one screen of a walk. It takes the focus, so that keyboard and speech go on from here. */
export function ScreenHeading({ children, className }: { children: ReactNode; className?: string }) {
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus({ preventScroll: true }), []);
  return (
    <h1 ref={heading} tabIndex={-1} className={className}>
      {children}
    </h1>
  );
}
