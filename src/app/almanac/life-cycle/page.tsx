import type { Metadata } from "next";
import { LifeCycles } from "./_parts/LifeCycles";

export const metadata: Metadata = { title: "Life cycles" };

export default function LifeCyclePage() {
  return (
    <>
      <h1>Life cycles</h1>
      <p className="mb-2">
        A case of your making: nothing here is written down. On day 0 a look with a lamp finds animals and leaves them.
        Drag the treatments of two courses, and how many sit where no spray comes.
      </p>
      <LifeCycles />
    </>
  );
}
