import { useCallback, useState, type RefObject } from "react";
import { usePhone } from "@/ui/shell/usePhone";

/** Which shelf is in sight where they are swiped, and how to go to another. */
export function useSwiped(list: RefObject<HTMLDivElement | null>) {
  const is = usePhone();
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
