"use client";

import Link from "next/link";
import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { useForm } from "react-hook-form";
import { cautionsOfAct } from "@/core/acts/acts";
import { gearFor, isSprayed } from "@/core/acts/gear";
import { mixesOf, type MixId } from "@/core/mixing/mixes";
import type { RemedyId } from "@/core/remedies/remedies";
import {
  cansOf,
  groupTechniques,
  groupWorks,
  minutesOf,
  sessionLine,
  sessionRemedies,
  type SessionDoes,
  type SessionLine,
} from "@/core/session/session";
import { toldBefore } from "@/core/suitability/told";
import type { GroupPlant } from "@/operations/readGroup";
import { Amounts, type Measuring } from "@/ui/Amounts";
import { CautionList } from "@/ui/Cautions";
import { NoteField } from "@/ui/fields/fields";
import { MomentField } from "@/ui/fields/MomentField";
import { Panel } from "@/ui/Panel";
import { useReadCautions } from "@/ui/readCautions";
import { toggled } from "@/ui/toggled";
import { workNames } from "@/wording/acts";
import { millilitres } from "@/wording/amounts";
import { gearNames, objectionSentences } from "@/wording/cautions";
import { hoursInWords } from "@/wording/dates";
import { mixNames, remedyNames, techniqueNames } from "@/wording/names";
import { useGroup } from "./useGroup";

const plantsInWords = (n: number) => (n === 1 ? "one plant" : `${n} plants`);

/** What is done to a group, before it, and the press that writes it down for all of them but those that are taken out. */
export function SessionForm({
  plants,
  measuring,
  now,
}: {
  plants: readonly GroupPlant[];
  measuring: Measuring;
  now: string;
}) {
  const [does, setDoes] = useState<SessionDoes>({ kind: "remedy", remedy: "soap", technique: "spray", mix: null });
  const [left, setLeft] = useState<readonly string[]>([]);
  const group = useGroup(plants);
  const form = useForm<{ at: string; note: string }>({ defaultValues: { at: now, note: "" } });
  const potOf = (plantId: string) => plants.find((one) => one.plantId === plantId)!.bearer.potCm;
  const lines = plants.map((plant) => ({ plant, line: sessionLine(plant, does) }));
  const taken = lines
    .filter(({ line }) => !line.refused && !left.includes(line.plantId) && !group.done.has(line.plantId))
    .map(({ line }) => line);
  const cautions = [...new Set(taken.flatMap(({ act }) => cautionsOfAct(act)))];
  const against = taken.flatMap((line) => line.against);
  const told = toldBefore([], cautions).map(({ id }) => id);
  const reading = useReadCautions();
  const write = (some: readonly SessionLine[]) => {
    const { at, note } = form.getValues();
    reading.keep(told);
    group.write(some, form.formState.dirtyFields.at ? at : null, note);
  };
  const gear = gearFor(
    cautions,
    against.map(({ code }) => code),
    taken.some(({ act }) => isSprayed(act)),
  );
  return (
    <div className="row gx-3">
      <div className="col-lg-5">
        <Panel title="What">
          <What does={does} choose={setDoes} />
          <MomentField form={form} name="at" label="When" />
          <NoteField form={form} name="note" label="Note, for all of them" />
        </Panel>
        {taken.length > 0 && (
          <Panel title="Before you begin">
            <p className="mb-2">
              {plantsInWords(taken.length)}, about {hoursInWords(Math.round(minutesOf(taken, potOf)))}.
            </p>
            {cansOf(taken, potOf).map(({ mix, plants: n, volumeMl }) => (
              <details key={mix} className="mb-2">
                <summary>
                  {mixNames[mix]}: {millilitres(volumeMl)} for {plantsInWords(n)}
                </summary>
                <Amounts mix={mix} totalMl={volumeMl} measuring={measuring} />
              </details>
            ))}
            {gear.length > 0 && (
              <ul className="gear">
                {gear.map((id) => (
                  <li key={id}>{gearNames[id]}</li>
                ))}
              </ul>
            )}
            <CautionList against={[]} cautions={cautions} />
          </Panel>
        )}
      </div>
      <div className="col-lg-7">
        <Panel title="Plant by plant, or all of them">
          {group.last && (
            <Alert variant="success" role="status" className="d-flex flex-wrap gap-2 align-items-center">
              <span className="flex-grow-1">Written down for {plantsInWords(group.last.facts.length)}.</span>
              <Button size="sm" variant="outline-primary" onClick={group.undo}>
                Undo
              </Button>
              <Link className="btn btn-sm btn-outline-primary" href="/today">
                To today
              </Link>
            </Alert>
          )}
          <p className="small">Take out whom you leave out. What a plant does not bear is left out already.</p>
          <ul className="list-unstyled mb-0">
            {lines.map(({ plant, line }) => (
              <Row
                key={line.plantId}
                plant={plant}
                line={line}
                done={group.done.has(line.plantId)}
                ticked={taken.includes(line)}
                onTick={() => setLeft((all) => toggled(all, line.plantId))}
                onDone={() => write([line])}
              />
            ))}
          </ul>
          <div className={told.every((id) => reading.ids.includes(id)) ? "sticky-press" : undefined}>
            <Button className="big w-100" disabled={taken.length === 0} onClick={() => write(taken)}>
              {taken.length === 0
                ? "Nobody is left"
                : taken.length === 1
                  ? "Done: one plant"
                  : `All done: ${taken.length} plants`}
            </Button>
          </div>
        </Panel>
      </div>
    </div>
  );
}

function Row({
  plant,
  line,
  done,
  ticked,
  onTick,
  onDone,
}: {
  plant: GroupPlant;
  line: SessionLine;
  done: boolean;
  ticked: boolean;
  onTick: () => void;
  onDone: () => void;
}) {
  const codes = [...new Set(line.against.map(({ code }) => code))];
  const { act } = line;
  return (
    <li className="evening-line">
      <Form.Check
        id={`take-${line.plantId}`}
        className="flex-grow-1"
        checked={ticked || done}
        disabled={line.refused || done}
        onChange={onTick}
        label={
          <>
            <strong>
              {plant.code} {plant.card.name}
            </strong>
            , {plant.placeName}
            {act.kind === "contact" && `: ${mixNames[act.mix]}, ${millilitres(act.volumeMl)}`}
            {codes.map((code) => (
              <span key={code} className={`d-block small ${line.refused ? "text-danger-emphasis" : ""} fw-semibold`}>
                {line.refused && "Left out. "}
                {objectionSentences[code]}
              </span>
            ))}
          </>
        }
      />
      {done ? (
        <span>Done</span>
      ) : (
        ticked && (
          <Button size="sm" variant="outline-primary" aria-label={`Done: ${plant.code}`} onClick={onDone}>
            Done
          </Button>
        )
      )}
    </li>
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
          <optgroup label="Put on">
            {sessionRemedies.map((remedy) => (
              <option key={remedy} value={remedy}>
                {remedyNames[remedy]}
              </option>
            ))}
          </optgroup>
          <optgroup label="By hand and water">
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
          <Form.Group className="mb-3" controlId="session-mix">
            <Form.Label className="fw-semibold mb-1">How strong</Form.Label>
            <Form.Select
              value={does.mix ?? ""}
              onChange={(event) => choose({ ...does, mix: (event.target.value || null) as MixId | null })}
            >
              <option value="">As each plant bears it</option>
              {mixesOf(does.remedy).map((mix) => (
                <option key={mix} value={mix}>
                  {mixNames[mix]}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
        </>
      )}
    </>
  );
}
