import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { AsOf } from "@/app/_parts/AsOf";
import { cachedView } from "@/app/_parts/server/cachedView";
import { currentContext } from "@/app/_parts/server/context";
import { readFloorPlan } from "@/operations/places/queries/readFloorPlan";
import { FloorPlan } from "./_parts/FloorPlan";

export const metadata: Metadata = { title: "Plan of the rooms" };

export default async function PlanPage() {
  const context = await currentContext();
  const rooms = await cachedView(context, "plan", () => readFloorPlan(context));
  return (
    <>
      <AsOf />
      <div className="heading-presses mb-3">
        <h1 className="me-auto mb-0">Plan of the rooms</h1>
        <div>
          <Link className="btn btn-outline-primary" href="/benches">
            The shelves
          </Link>
          <Link className="btn btn-outline-primary" href="/benches/places/new">
            Add a place
          </Link>
        </div>
      </div>
      {rooms.length === 0 ? <p>There is no room yet.</p> : <FloorPlan rooms={rooms} />}
    </>
  );
}
