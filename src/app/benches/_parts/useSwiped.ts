import { useCallback, useState, useSyncExternalStore, type RefObject } from "react";

/** Below this width one shelf is in sight; as in the styles. */
const PHONE = "(max-width: 575.98px)";

const watch = (changed: () => void) => {
  const media = window.matchMedia(PHONE);
  media.addEventListener("change", changed);
  return () => media.removeEventListener("change", changed);
};

/** Which shelf is in sight where they are swiped, and how to go to another. */
export function useSwiped(list: RefObject<HTMLDivElement | null>) {
  const is = useSyncExternalStore(
    watch,
    () => window.matchMedia(PHONE).matches,
    () => false,
  );
  const [inSight, setInSight] = useState(0);
  const onScroll = useCallback(() => {
    const { scrollLeft = 0, clientWidth = 0 } = list.current ?? {};
    if (is && clientWidth > 0) setInSight(Math.round(scrollLeft / clientWidth));
  }, [is, list]);
  const go = useCallback(
    (to: number) => {
      const { clientWidth = 0 } = list.current ?? {};
      list.current?.scrollTo({ left: to * clientWidth });
    },
    [list],
  );
  return { inSight, go, swiped: { is, onScroll } };
}
