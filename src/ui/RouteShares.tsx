import { Link } from "@/ui/Link";
import type { CSSProperties } from "react";
import type { Blamed } from "@/core/advice/spread/carries";
import { routeInWords } from "@/wording/advice/spread/carries";
import { percent } from "@/wording/advice/chances";

/** Ways by which something may have come, each with its share as a bar and in words; `told` puts words before the way. */
export function RouteShares({ routes, describe }: { routes: readonly Blamed[]; describe: (route: Blamed) => string }) {
  return (
    <ul className="carries-routes mb-2">
      {routes.map((route) => (
        <li key={`${route.pest} ${route.kind} ${route.plantId} ${route.nearness} ${route.share}`}>
          <span className="carries-share" style={{ "--share": route.share } as CSSProperties} aria-hidden="true" />
          <span>
            {percent(route.share)} {describe(route)}
            {route.plantId ? <Link href={`/plants/${route.plantId}`}>{routeInWords(route)}</Link> : routeInWords(route)}
          </span>
        </li>
      ))}
    </ul>
  );
}
