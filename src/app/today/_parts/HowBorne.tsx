"use client";

import { useState } from "react";
import Button from "react-bootstrap/Button";
import { v7 as uuidv7 } from "uuid";
import { recordReactionAction } from "@/app/_parts/actions";
import { usePress } from "@/app/_parts/usePress";
import { mixes } from "@/core/knowledge/mixes/mixes";
import type { ReactionId } from "@/core/knowledge/remedies/reactions";
import type { Afterwards } from "@/operations/cases/queries/readPhytotoxicity";
import { useCollection } from "@/ui/shell/Collection";
import { Panel } from "@/ui/Panel";
import { PlantLine } from "@/ui/PlantLine";
import { askSentences, shortReactions } from "@/wording/advice/phytotoxicity";
import { fromToday } from "@/wording/dates";
import { mixNames } from "@/wording/names/names";
import { withOffset } from "@/zones";
import type { Day } from "@/core/shared/days";

const always: readonly ReactionId[] = ["nothing", "stain", "scorch", "lostFlowers", "lostBloom", "rot"];

/** What the plants said to what was put on them: one press, and it teaches what they bear. */
export function HowBorne({ asked, day }: { asked: readonly Afterwards[]; day: Day }) {
  const { timeZone } = useCollection();
  const { press, trouble } = usePress(recordReactionAction);
  const [answered, setAnswered] = useState<ReadonlySet<string>>(new Set());
  const left = asked.filter(({ actId }) => !answered.has(actId));
  if (left.length === 0) return null;
  const say = async ({ actId, plant, mix, technique }: Afterwards, what: ReactionId) => {
    const at = withOffset(new Date(), timeZone);
    if (!(await press({ id: uuidv7(), plantId: plant.id, mix, technique, what, at, note: "" }))) return;
    setAnswered((all) => new Set([...all, actId]));
  };
  return (
    <Panel title="How did they take it?">
      {trouble && (
        <p className="text-danger-emphasis fw-semibold" role="alert">
          {trouble}
        </p>
      )}
      <ul className="list-group list-group-flush">
        {left.map((one) => (
          <PlantLine
            key={one.actId}
            plant={one.plant}
            note={`${mixNames[one.mix]}, ${fromToday(one.on, day)}. ${one.asks.map((ask) => askSentences[ask]).join(" ")}`}
          >
            <div className="d-flex flex-wrap gap-2" role="group" aria-label={`How ${one.plant.code} reacted`}>
              {[...always, ...(mixes[one.mix].remedy === "oil" ? (["matt", "tacky"] as const) : [])].map((what) => (
                <Button
                  key={what}
                  size="sm"
                  variant={what === "nothing" ? "primary" : "outline-primary"}
                  onClick={() => void say(one, what)}
                >
                  {shortReactions[what]}
                </Button>
              ))}
            </div>
          </PlantLine>
        ))}
      </ul>
    </Panel>
  );
}
