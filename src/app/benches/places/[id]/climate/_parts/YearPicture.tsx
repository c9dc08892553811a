"use client";

import dynamic from "next/dynamic";

/** The chart comes after the page: what it is drawn with is heavier than all the rest. */
export const YearPicture = dynamic(() => import("./YearChart").then((file) => file.YearChart), {
  ssr: false,
  loading: () => <div className="chart-wait" />,
});
