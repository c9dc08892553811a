import { currentContext } from "@/app/_parts/server/context";
import { readDelay } from "@/operations/cases/queries/readDelay";

/** What a day's delay of the next treatment costs, asked for one plant at a time. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  const delay = await readDelay(await currentContext(), id);
  return Response.json(delay, { status: delay ? 200 : 404, headers: { "cache-control": "private, no-store" } });
}
