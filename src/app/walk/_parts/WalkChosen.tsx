"use client";

import { useRouter } from "next/navigation";
import { useState, useTransition } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import { v7 as uuidv7 } from "uuid";
import type { z } from "zod";
import { startWalkAction } from "@/app/_parts/actions";
import type { startWalk } from "@/core/record/facts/commands";
import type { ToolId } from "@/core/model/inspection/tools";
import type { Round } from "@/core/model/inspection/rounds";
import { useCollection } from "@/ui/shell/Collection";

type Chosen = NonNullable<z.input<typeof startWalk>["chosen"]>;

/** One press that begins a walk of chosen plants. Pressing again after trouble begins the same walk. */
export function WalkChosen({
  chosen,
  tool,
  round,
  inOrder,
  variant = "primary",
  label,
}: {
  chosen: Chosen;
  tool: ToolId;
  round: Round;
  /** Whether they are walked in the order given, and not in the one that spreads least. */
  inOrder: boolean;
  variant?: "primary" | "outline-primary";
  label: string;
}) {
  const router = useRouter();
  const { id: collectionId } = useCollection();
  const [id] = useState(() => uuidv7());
  const [problem, setProblem] = useState("");
  const [waiting, start] = useTransition();
  const begin = () =>
    start(async () => {
      const command = { id, scope: "chosen", placeId: "", tool, round, chosen, inOrder };
      const result = await startWalkAction(collectionId, command).catch(() => null);
      if (result?.ok) router.push(`/walk/${id}`);
      else setProblem(result?.problems[0]?.message ?? "It could not be started. Try again in a moment.");
    });
  return (
    <>
      {problem && <Alert variant="danger">{problem}</Alert>}
      <Button variant={variant} onClick={begin} disabled={waiting || chosen.length === 0}>
        {label}
      </Button>
    </>
  );
}
