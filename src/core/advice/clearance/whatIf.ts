import type { ToolId } from "../../model/inspection/tools";
import { spotsOf } from "../../knowledge/plants/growthForms";
import { assessFile } from "./assess";
import type { CaseFile, FileEvent } from "../../record/format/schema";

/** What might have been, or might be done at the moment asked about. */
export interface Supposition {
  /** One treatment more, like the last, at the moment asked about. */
  readonly sprayMore: boolean;
  /** Every treatment after the first so many days later. */
  readonly daysLate: number;
  /** Every joint swabbed after each spray, everywhere on the plant. */
  readonly betterReach: boolean;
  /** A look at the whole plant at the moment asked about that finds nothing; null for none. */
  readonly cleanLook: ToolId | null;
}

const DAY_MS = 86_400_000;

/**
 * A case with a supposition made. Treatments that would fall after the moment asked about are carried out at that moment.
 * Files whose plant has no growth form keep their looks.
 */
function suppose(file: CaseFile, { sprayMore, daysLate, betterReach, cleanLook }: Supposition): CaseFile {
  const { asOf, plant } = file;
  const treatments = file.events.filter((event) => event.type === "treatment");
  const [first] = treatments;
  const last = treatments.at(-1);
  const changed = file.events.map((event): FileEvent => {
    if (event.type !== "treatment") return event;
    const { spots, ...whole } = event;
    const better =
      betterReach && event.technique !== undefined
        ? { ...whole, technique: "sprayAndSwab" as const }
        : { ...whole, ...(spots && { spots }) };
    return event === first ? better : { ...better, at: later(event.at, daysLate, asOf) };
  });
  if (sprayMore && last) changed.push({ ...(changed[file.events.indexOf(last)] as typeof last), at: asOf });
  if (cleanLook && "growthForm" in plant) {
    const look = { with: cleanLook, spots: [...spotsOf(plant.growthForm)] };
    changed.push({ type: "inspection", at: asOf, found: 0, removed: false, look });
  }
  return { ...file, events: changed };
}

/** P(clear) under a supposition; null where it makes no case. */
export function pClearIf(file: CaseFile, supposition: Supposition): number | null {
  const assessed = assessFile(suppose(file, supposition));
  return assessed.ok ? assessed.assessment.pClear : null;
}

function later(at: string, days: number, latest: string): string {
  if (days === 0) return at;
  return new Date(Math.min(Date.parse(at) + days * DAY_MS, Date.parse(latest))).toISOString();
}
