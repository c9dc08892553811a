"use client";

import { useLinkStatus } from "next/link";
import { useEffect, useState } from "react";
import { createPortal } from "react-dom";

/** A page that comes at once needs no word; one that takes longer is said to be on its way, ms. */
const SHOWN_AFTER_MS = 300;
const SAID_AFTER_MS = 2000;

/** Within a link: that its page has been asked for and has not come yet. */
export function Asking() {
  const { pending } = useLinkStatus();
  return pending ? <OnItsWay /> : null;
}

function OnItsWay() {
  const [waited, setWaited] = useState(0);
  useEffect(() => {
    const timers = [SHOWN_AFTER_MS, SAID_AFTER_MS].map((ms) => setTimeout(() => setWaited(ms), ms));
    return () => timers.forEach(clearTimeout);
  }, []);
  if (waited === 0) return null;
  // Beside everything, not within a link that may be clipped or moved.
  return createPortal(
    <div className="asking" role="status">
      {waited >= SAID_AFTER_MS && <span>Still asking …</span>}
    </div>,
    document.body,
  );
}
