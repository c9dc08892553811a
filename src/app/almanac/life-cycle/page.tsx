import type { Metadata } from "next";
import { LifeCycles } from "./_parts/LifeCycles";

export const metadata: Metadata = { title: "Life cycles" };

export default function LifeCyclePage() {
  return (
    <>
      <h1>Life cycles</h1>
      <p>
        A case of your making: nothing here is written down. On day 0 a look with a lamp finds animals and leaves them.
        Drag the treatments along the time line.
      </p>
      <LifeCycles />
    </>
  );
}
