import { csvAnswer } from "@/app/_parts/server/answer";
import { currentContext } from "@/app/_parts/server/context";
import { readCourses } from "@/operations/record/queries/readTaught";
import { doseInWords } from "@/wording/advice/learning";
import { pestNames } from "@/wording/names/names";

const COLUMNS = ["against", "way", "ended", "closed", "low", "high", "treatments", "days", "cameBack", "open"];
const rounded = (share: number) => Math.round(share * 1000) / 1000;

/** What ended what, as a table. */
export async function GET(): Promise<Response> {
  const courses = await readCourses(await currentContext());
  const rows = courses.map(({ pest, dose, ended, treatments, days, returned, open }) => ({
    ...{ against: pestNames[pest], way: doseInWords(dose), ended: ended.hits, closed: ended.of },
    ...{ low: rounded(ended.low), high: rounded(ended.high), treatments, days, cameBack: returned, open },
  }));
  return csvAnswer(rows, COLUMNS, "what-ended-what.csv");
}
