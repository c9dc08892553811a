"use client";

import { useState } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { mixesWith } from "@/core/knowledge/mixes/mixes";
import type { RemedyId } from "@/core/knowledge/remedies/remedies";
import {
  groupTechniques,
  groupWorks,
  sessionLine,
  sessionRemedies,
  type SessionDoes,
} from "@/core/advice/sessions/session";
import { workNames } from "@/wording/names/acts";
import { mixNames, remedyNames, techniqueNames } from "@/wording/names/names";
import { RunSession, type RunProps } from "./RunSession";
import { named } from "@/ui/fields/options";
import { SelectBox } from "@/ui/fields/SelectBox";

const SOAP: SessionDoes = { kind: "remedy", remedy: "soap", technique: "spray", mix: null };
const RINSE: SessionDoes = { kind: "work", work: "shower" };
/** More steps than that are a programme of their own. */
const MOST_STEPS = 6;

/** A step as it was chosen; its id stays its own when others go. */
interface Chosen {
  readonly id: string;
  readonly does: SessionDoes;
}

const nameOf = (does: SessionDoes) => (does.kind === "work" ? workNames[does.work] : remedyNames[does.remedy]);

/** A session of which the keeper says what is done, one step after the other. */
export function FreeSession({ plants, ...rest }: RunProps) {
  const [all, setAll] = useState<readonly Chosen[]>([{ id: "1", does: SOAP }]);
  const [at, setAt] = useState(0);
  const steps = all.map(({ id, does }) => ({
    ...{ id, name: nameOf(does) },
    lines: plants.map((plant) => sessionLine(plant, does)),
  }));
  return (
    <RunSession plants={plants} steps={steps} at={at} goTo={setAt} {...rest}>
      <What does={all[at]!.does} choose={(does) => setAll(all.map((one, i) => (i === at ? { ...one, does } : one)))} />
      <div className="d-flex flex-wrap gap-2 mb-3">
        {all.length < MOST_STEPS && (
          <Button
            size="sm"
            variant="outline-primary"
            onClick={() => {
              setAll([...all, { id: String(Math.max(...all.map(({ id }) => Number(id))) + 1), does: RINSE }]);
              setAt(all.length);
            }}
          >
            Add a step
          </Button>
        )}
        {all.length > 1 && (
          <Button
            size="sm"
            variant="outline-primary"
            onClick={() => {
              setAll(all.filter((_, i) => i !== at));
              setAt(0);
            }}
          >
            Remove this step
          </Button>
        )}
      </div>
    </RunSession>
  );
}

function What({ does, choose }: { does: SessionDoes; choose: (does: SessionDoes) => void }) {
  const techniques = does.kind === "remedy" ? groupTechniques(does.remedy) : [];
  const take = (value: string) => {
    const work = groupWorks.find((one) => one === value);
    if (work) return choose({ kind: "work", work });
    const remedy = value as RemedyId;
    const [first] = groupTechniques(remedy);
    const technique =
      does.kind === "remedy" && groupTechniques(remedy).includes(does.technique) ? does.technique : first!;
    choose({ kind: "remedy", remedy, technique, mix: null });
  };
  return (
    <>
      <Form.Group className="mb-3" controlId="session-what">
        <Form.Label className="fw-semibold mb-1">What you do</Form.Label>
        <Form.Select
          value={does.kind === "work" ? does.work : does.remedy}
          onChange={(event) => take(event.target.value)}
        >
          <optgroup label="Applied">
            {sessionRemedies.map((remedy) => (
              <option key={remedy} value={remedy}>
                {remedyNames[remedy]}
              </option>
            ))}
          </optgroup>
          <optgroup label="By hand and with water">
            {groupWorks.map((work) => (
              <option key={work} value={work}>
                {workNames[work]}
              </option>
            ))}
          </optgroup>
        </Form.Select>
      </Form.Group>
      {does.kind === "remedy" && (
        <>
          <div className="d-flex flex-wrap gap-2 mb-3" role="group" aria-label="How">
            {techniques.map((technique) => (
              <button
                key={technique}
                type="button"
                className={`btn ${technique === does.technique ? "btn-primary" : "btn-outline-primary"}`}
                aria-pressed={technique === does.technique}
                onClick={() => choose({ ...does, technique })}
              >
                {techniqueNames[technique]}
              </button>
            ))}
          </div>
          <SelectBox
            label="How strong"
            value={does.mix ?? ""}
            options={[["", "As each plant tolerates it"], ...named(mixesWith(does.remedy), mixNames)]}
            onPick={(mix) => choose({ ...does, mix: mix || null })}
          />
        </>
      )}
    </>
  );
}
