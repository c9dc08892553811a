import { csvAnswer } from "@/app/_parts/server/answer";
import { currentContext } from "@/app/_parts/server/context";
import { readYear } from "@/operations/record/queries/readYear";
import { pestNames } from "@/wording/names/names";
import { yearAsked } from "../_parts/yearAsked";

const COLUMNS = ["year", "month", "against", "finds"];

/** Finds of a year by pest and month, as a table. */
export async function GET(request: Request): Promise<Response> {
  const asked = yearAsked(new URL(request.url).searchParams.get("year"));
  const { review } = await readYear(await currentContext(), asked);
  const rows = review.pests.flatMap(({ pest, byMonth }) =>
    byMonth.flatMap((finds, i) =>
      finds === 0 ? [] : [{ year: review.year, month: i + 1, against: pestNames[pest], finds }],
    ),
  );
  return csvAnswer(rows, COLUMNS, `finds-${review.year}.csv`);
}
