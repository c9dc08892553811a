import type { CourseTaught } from "@/core/advice/learning/courses";
import type { Experience } from "@/core/advice/learning/experience";
import { Span } from "@/ui/charts/Span";
import { doseInWords } from "@/wording/advice/learning";
import { pestNames } from "@/wording/names/names";

/** A way; other keepers' experience has counts alone. */
type Ended = Experience["courses"][number] & Partial<Pick<CourseTaught, "treatments" | "days" | "open">>;

/** What each way has ended, a line for each pest and way. */
export function WhatEnded({ label, courses }: { label: string; courses: readonly Ended[] }) {
  const known = courses.some(({ open }) => open !== undefined);
  const heads = ["Against", "Mainly treated with", "Ended for good", "Came back"];
  return (
    <div className="table-responsive" tabIndex={0} role="region" aria-label={label}>
      <table className="table align-middle mb-2">
        <thead>
          <tr>
            {[...heads, ...(known ? ["Treatments", "Days", "Open or not yet known"] : [])].map((head) => (
              <th scope="col" key={head}>
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {courses.map((course) => (
            <tr key={`${course.pest} ${JSON.stringify(course.dose)}`}>
              <th scope="row">{pestNames[course.pest]}</th>
              <td>{doseInWords(course.dose)}</td>
              <td>{course.ended.of === 0 ? "not known yet" : <Span counted={course.ended} />}</td>
              <td>{course.returned}</td>
              {known && (
                <>
                  <td>{course.treatments ?? "–"}</td>
                  <td>{course.days ?? "–"}</td>
                  <td>{course.open}</td>
                </>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
