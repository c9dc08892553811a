import { useSyncExternalStore } from "react";

/** Below this width a screen is a phone's; as in the styles. */
const PHONE = "(max-width: 575.98px)";

const watch = (changed: () => void) => {
  const media = window.matchMedia(PHONE);
  media.addEventListener("change", changed);
  return () => media.removeEventListener("change", changed);
};

/** Whether the page is shown on a phone; not so until its script has begun. */
export const usePhone = (): boolean =>
  useSyncExternalStore(
    watch,
    () => window.matchMedia(PHONE).matches,
    () => false,
  );
