"use client";

import { useRouter } from "next/navigation";
import { useRef, useState, type FormEvent } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import ProgressBar from "react-bootstrap/ProgressBar";
import { useCollection } from "@/ui/shell/Collection";
import type { ImportLine } from "./importLine";

type Shown =
  | { readonly what: "nothing" }
  | { readonly what: "going"; readonly share: number | null }
  | { readonly what: "came"; readonly line: Extract<ImportLine, { came: unknown }>["came"] }
  | { readonly what: "wrong"; readonly why: string };

/** Sends a file and shows how far it is; it can be stopped until it is in. */
export function ImportForm() {
  const { id: collectionId } = useCollection();
  const router = useRouter();
  const [shown, setShown] = useState<Shown>({ what: "nothing" });
  const stop = useRef<AbortController | null>(null);

  const send = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const file = (event.currentTarget.elements.namedItem("file") as HTMLInputElement).files?.[0];
    if (!file) return setShown({ what: "wrong", why: "Choose a file first." });
    stop.current = new AbortController();
    setShown({ what: "going", share: null });
    try {
      const answer = await fetch("/settings/data/import", {
        method: "POST",
        body: file,
        headers: { "x-collection": collectionId, "content-type": "application/zip" },
        signal: stop.current.signal,
      });
      await follow(answer);
    } catch {
      const stopped = stop.current.signal.aborted;
      setShown({
        what: "wrong",
        why: stopped
          ? "Stopped. Nothing was imported."
          : "The connection was lost. Import it again: nothing is added twice.",
      });
    }
  };
  const follow = async (answer: Response) => {
    const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader();
    let rest = "";
    let last: ImportLine | null = null;
    for (;;) {
      const { done, value } = await reader.read();
      rest += value ?? "";
      const lines = rest.split("\n");
      rest = done ? "" : lines.pop()!;
      for (const line of lines.filter((text) => text !== "")) {
        last = JSON.parse(line) as ImportLine;
        if ("done" in last) setShown({ what: "going", share: last.of > 0 ? last.done / last.of : null });
      }
      if (done) break;
    }
    if (last && "came" in last) {
      setShown({ what: "came", line: last.came });
      router.refresh();
    } else setShown({ what: "wrong", why: last && "problem" in last ? last.problem : "It did not finish." });
  };

  return (
    <Form onSubmit={send}>
      <Form.Label htmlFor="file" className="fw-semibold mb-1">
        Collection file
      </Form.Label>
      <Form.Control id="file" name="file" type="file" accept=".zip,application/zip" className="mb-2" />
      {shown.what === "going" ? (
        <>
          <ProgressBar
            now={100 * (shown.share ?? 0.02)}
            animated={shown.share === null}
            aria-label="How much has been read"
            className="mb-2"
          />
          <Button variant="outline-primary" onClick={() => stop.current?.abort()}>
            Stop
          </Button>
        </>
      ) : (
        <Button type="submit">Import</Button>
      )}
      {shown.what === "wrong" && (
        <Alert variant="danger" className="mt-2 mb-0">
          {shown.why}
        </Alert>
      )}
      {shown.what === "came" && (
        <Alert variant="success" className="mt-2 mb-0" role="status">
          {shown.line.added} new, {shown.line.known} known already, {shown.line.struckOut} struck out.
          {shown.line.renamed.map(({ from, to }) => (
            <div key={to}>
              Another plant is {from} here, so the imported one is called {to}.
            </div>
          ))}
        </Alert>
      )}
    </Form>
  );
}
