import { act as anyAct } from "@/core/acts/acts";
import { labelObjections, type LabelObjection } from "@/core/advice/labels/label";
import type { TreatmentCourses } from "@/core/advice/planning/treatmentCourse";
import { doseIn } from "@/core/advice/plans/coursesOnRecord";
import { askedFor, type Draft } from "@/ui/acts/actFields";
import { dayIn } from "@/zones";

/** What the label has against an act as it stands in the form; nothing where its courses are not known. */
export function labelBefore(
  draft: Draft,
  at: unknown,
  courses: TreatmentCourses | undefined,
  timeZone: string,
): readonly LabelObjection[] {
  const read = anyAct.safeParse(askedFor(draft));
  const when = new Date(String(at));
  if (!courses || !read.success || Number.isNaN(+when)) return [];
  // Hands and water have no label.
  const dose = read.data.kind === "mechanical" ? null : doseIn(read.data);
  return dose ? labelObjections([{ day: dayIn(when, timeZone), dose }], courses) : [];
}
