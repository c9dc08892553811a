import { currentContext } from "@/app/_parts/server/context";
import { readSchools } from "@/operations/cases/queries/readSchools";

/** Treat the neighbours or only look: reckoned when somebody asks. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const schools = await readSchools(await currentContext(), (await params).id);
  return schools ? Response.json(schools) : new Response(null, { status: 404 });
}
