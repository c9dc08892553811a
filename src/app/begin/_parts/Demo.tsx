"use client";

import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import { demoAction } from "@/app/_parts/actions";
import { show, showNone } from "./show";

type What = "show" | "reset" | "remove";

const LOST = "It could not be done just now. Check the connection and try again.";

/** The demo: looked at, put back to its first day, or removed. */
export function Demo({ isThere, isShown }: { isThere: boolean; isShown: boolean }) {
  const [busy, setBusy] = useState<What | null>(null);
  const [sure, setSure] = useState<"reset" | "remove" | null>(null);
  const [trouble, setTrouble] = useState("");
  const press = async (what: What) => {
    setBusy(what);
    setTrouble("");
    try {
      const result = await demoAction("", { what });
      if (!result.ok) setTrouble(result.problems.map(({ message }) => message).join(" "));
      else if (what !== "remove") return show(String(result.value.id), "/today");
      else if (isShown) return showNone();
      else return location.reload();
    } catch {
      setTrouble(LOST);
    }
    setBusy(null);
    setSure(null);
  };
  const lasts = busy !== null && busy !== "remove" && (busy === "reset" || !isThere);
  return (
    <>
      {trouble && <Alert variant="danger">{trouble}</Alert>}
      {lasts && (
        <p role="status" className="mb-2">
          Recording a year; this takes a few seconds.
        </p>
      )}
      <div className="d-flex flex-wrap gap-2">
        <Button onClick={() => press("show")} disabled={busy !== null}>
          {busy === "show" ? "Opening …" : isShown ? "Continue with the demo" : "Show the demo"}
        </Button>
        {isThere && sure === null && (
          <>
            <Button variant="outline-primary" onClick={() => setSure("reset")} disabled={busy !== null}>
              Reset the demo
            </Button>
            <Button variant="outline-danger" onClick={() => setSure("remove")} disabled={busy !== null}>
              Remove
            </Button>
          </>
        )}
      </div>
      {sure && (
        <div className="mt-3">
          <p>
            {sure === "reset"
              ? "What you recorded in the demo will be gone. Your own collections are not touched."
              : "The demo is removed with everything in it. You can open it again from here."}
          </p>
          <div className="d-flex flex-wrap gap-2">
            <Button variant="danger" onClick={() => press(sure)} disabled={busy !== null}>
              {sure === "reset" ? "Reset it" : "Remove it"}
            </Button>
            <Button variant="outline-primary" onClick={() => setSure(null)} disabled={busy !== null}>
              Cancel
            </Button>
          </div>
        </div>
      )}
    </>
  );
}
