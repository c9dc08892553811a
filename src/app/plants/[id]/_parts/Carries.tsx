import type { Day } from "@/core/shared/days";
import type { PlantView } from "@/operations/plants/queries/readPlant";
import { Panel } from "@/ui/Panel";
import { PhoneFold } from "@/ui/PhoneFold";
import { RouteShares } from "@/ui/RouteShares";
import { carriesSentence, wayBackSentence } from "@/wording/advice/spread/carries";
import { percent } from "@/wording/advice/chances";
import { cleanLooksNeeded } from "@/wording/advice/clearance/clearance";
import { dayInWords } from "@/wording/dates";
import { pestNames } from "@/wording/names/names";
import { CarriedPicture } from "./CarriedPicture";

/** Ways that have less of it than this stand in no list. */
const LISTED = 0.04;
const MOST_LISTED = 5;

/** What a plant may carry although nothing is found: the chance, where from, how it rose and fell, and the rule by hand beside it. */
export function Carries({
  plantId,
  carries,
  apart,
  byHand,
  limit,
}: {
  plantId: string;
  carries: PlantView["carries"];
  apart: boolean;
  /** The days since which it is at risk by the rule of two clean looks. */
  byHand: readonly Day[];
  limit: number;
}) {
  if (!carries)
    return (
      <Panel title="What it may carry unseen">
        <p className="mb-0">It is being worked out; come back in a moment.</p>
      </Panel>
    );
  const routes = carries.routes.filter(({ share }) => share >= LISTED).slice(0, MOST_LISTED);
  const counted = byHand.length === 0;
  return (
    <Panel title="What it may carry unseen">
      <p className="mb-2">
        <strong>{carriesSentence(carries)}</strong>
        {!carries.current && " (From before the last change; being updated.)"}
      </p>
      {routes.length > 0 && (
        <RouteShares routes={routes} describe={(route) => `of it: ${pestNames[route.pest].toLowerCase()}, `} />
      )}
      {apart && carries.waysBack && <p>{wayBackSentence(carries.waysBack)}</p>}
      <CarriedPicture plantId={plantId} limit={limit} />
      <PhoneFold summary="By the simple rule">
        <p className="small mb-0">
          At risk from {percent(limit)} (you can change that in Settings). By the simple rule:{" "}
          {counted
            ? `it has had ${cleanLooksNeeded}, since it was last next to a find, or never was.`
            : `it was next to a find on ${dayInWords(byHand.at(-1)!)} and has not had ${cleanLooksNeeded}, since.`}{" "}
          How fast pests pass from pot to pot is our own estimate: take it as a rough guide.
        </p>
      </PhoneFold>
    </Panel>
  );
}
