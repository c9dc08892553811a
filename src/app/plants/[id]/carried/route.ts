import { currentContext } from "@/app/_parts/server/context";
import { readCarried } from "@/operations/plants/queries/readCarried";

/** How the chance that a plant carries something rose and fell: reckoned when somebody wants to see it. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const carried = await readCarried(await currentContext(), (await params).id);
  return carried ? Response.json(carried) : new Response(null, { status: 404 });
}
