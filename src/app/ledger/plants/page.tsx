import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { notFound } from "next/navigation";
import { tallyKeys } from "@/core/advice/ledger/tally";
import { readLedgerPlants } from "@/operations/record/queries/readLedger";
import { Panel } from "@/ui/Panel";
import { PlantLine } from "@/ui/PlantLine";
import { dayAndYear } from "@/wording/dates";
import { tallyName, tallyNames } from "@/wording/record/ledger";
import { pestNames } from "@/wording/names/names";
import { currentContext } from "../../_parts/server/context";
import { AsOf } from "../../_parts/AsOf";
import { cachedView } from "../../_parts/server/cachedView";

export const metadata: Metadata = { title: "Plants of the ledger" };

type Asked = Promise<{ by?: string | string[]; key?: string | string[]; what?: string | string[] }>;

export default async function LedgerPlantsPage({ searchParams }: { searchParams: Asked }) {
  const asked = await searchParams;
  const context = await currentContext();
  const by = tallyKeys.find((one) => one === asked.by);
  const finds = asked.what === "finds";
  const { key } = asked;
  const view =
    by && typeof key === "string"
      ? await cachedView(context, `ledger plants ${by} ${key} ${finds}`, () =>
          readLedgerPlants(context, by, key, finds),
        )
      : null;
  if (!by || !view) notFound();
  const { line, plants } = view;
  return (
    <>
      <p className="mb-0">
        <Link href={`/ledger?by=${by}`}>Ledger: {tallyNames[by].toLowerCase()}</Link>
      </p>
      <h1>{tallyName(by, line.key, line.name)}</h1>
      <AsOf />
      <Panel title={`${asked.what === "finds" ? "Found" : "Plants"}: ${plants.length}`}>
        <ul className="list-group list-group-flush">
          {plants.map(({ card, finds }) => (
            <PlantLine
              key={card.id}
              plant={card}
              note={
                finds.length > 0 &&
                finds.map(({ caseId, pest, foundOn }, i) => (
                  <span key={caseId}>
                    {i > 0 && "; "}
                    <Link href={`/cases/${caseId}`}>
                      {pestNames[pest].toLowerCase()}, {dayAndYear(foundOn)}
                    </Link>
                  </span>
                ))
              }
            />
          ))}
        </ul>
      </Panel>
    </>
  );
}
