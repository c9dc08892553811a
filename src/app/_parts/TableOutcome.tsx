import type { ReactNode } from "react";
import Alert from "react-bootstrap/Alert";
import type { CommandResult } from "@/offline/commandResult";

const LOST = {
  path: "",
  message: "It could not be sent. Check the connection and import it again: nothing is added twice.",
};
const NO_TEXT = {
  path: "",
  message: "One of the files is not text. Save the table as CSV (UTF-8) and choose it again.",
};

/** The text of a file; throws a TypeError for one that is none. */
export async function textOf(file: File | undefined): Promise<string> {
  return file ? new TextDecoder("utf-8", { fatal: true }).decode(await file.arrayBuffer()) : "";
}

/** What is told where a table could not be sent at all. */
export function notSent(error: unknown): CommandResult {
  const noText = error instanceof TypeError && /decod|encod/i.test(error.message);
  return { ok: false, problems: [noText ? NO_TEXT : LOST] };
}

/** What came of bringing a table in: what it was, or everything that is wrong with it. */
export function TableOutcome({
  result,
  children,
}: {
  result: CommandResult | null;
  children: (value: Record<string, unknown>) => ReactNode;
}) {
  if (!result) return null;
  if (result.ok)
    return (
      <Alert variant="success" className="mt-2 mb-0" role="status">
        {children(result.value)}
      </Alert>
    );
  return (
    <Alert variant="danger" className="mt-2 mb-0">
      <strong>Nothing was imported.</strong>
      <ul className="mb-0 ps-3">
        {result.problems.map(({ message }, i) => (
          <li key={i}>{message}</li>
        ))}
      </ul>
    </Alert>
  );
}
