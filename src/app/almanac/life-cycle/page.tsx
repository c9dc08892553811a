import type { Metadata } from "next";
import { LifeCycleBench } from "./_parts/LifeCycleBench";

export const metadata: Metadata = { title: "Life-cycle bench" };

export default function LifeCyclePage() {
  return (
    <>
      <h1>The life-cycle bench</h1>
      <p>
        A case of your making: nothing here is written down. On day 0 a look with a lamp finds animals and leaves them.
        Drag the treatments along the time line.
      </p>
      <LifeCycleBench />
    </>
  );
}
