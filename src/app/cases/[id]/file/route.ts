import { currentContext } from "@/app/_parts/server/context";
import { readCase } from "@/operations/cases/queries/readCase";

/** A case in the open case format. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  const view = await readCase(await currentContext(), id);
  if (!view?.file) return new Response("There is no such case, or nothing in it to save.\n", { status: 404 });
  const name = `${view.plant.code}-${view.found.pest}`.replaceAll(/[^A-Za-z0-9-]+/g, "-");
  return new Response(`${JSON.stringify(view.file, null, 1)}\n`, {
    headers: {
      "content-type": "application/json",
      "cache-control": "private, no-store",
      "content-disposition": `attachment; filename="${name}.case.json"`,
    },
  });
}
