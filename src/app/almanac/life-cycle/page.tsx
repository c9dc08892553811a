import type { Metadata } from "next";
import { LifeCycles } from "./_parts/LifeCycles";

export const metadata: Metadata = { title: "Life cycles" };

export default function LifeCyclePage() {
  return (
    <>
      <h1>Life cycles</h1>
      <p className="mb-2">
        A case to play with: nothing here is recorded. On day 0 a look with a lamp finds animals and leaves them. Drag
        the treatments of two courses, and change how many sit out of reach of sprays.
      </p>
      <LifeCycles />
    </>
  );
}
