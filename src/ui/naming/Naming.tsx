"use client";

import { useMemo, useState } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { lookAlikesOf } from "@/core/diagnosis/lookAlikes";
import { inQuestion, testsByWorth } from "@/core/diagnosis/expectedInformation";
import { posteriorOf } from "@/core/diagnosis/posterior";
import { priorsFor, type Circumstances } from "@/core/diagnosis/priors";
import { canShow, seenSignIds, signIds, tests, type Observations, type SignId } from "@/core/diagnosis/signs";
import { isReckoned, type SignOnlyId, type SuspectId } from "@/core/diagnosis/suspects";
import { byChance, NAMED_FROM, SETTLES_FROM_BITS, verdictOf, type Verdict } from "@/core/diagnosis/verdict";
import type { Naming as NamingOnRecord } from "@/core/facts/kinds/look";
import { pestIds, type PestId } from "@/core/pests/pests";
import { percent } from "@/wording/chances";
import { pestNames, signOnlyAdvice, suspectName } from "@/wording/names";
import { lookAlikeNames, testOn } from "@/wording/signs";
import { SignToggle, type Seen } from "../signs/SignToggle";

/** How many of the likely pests stand above the signs. */
const SHOWN = 4;

/** The sentence above the signs. */
function verdictInWords(verdict: Verdict): string {
  const name = (pest: SuspectId) => suspectName(pest).toLowerCase();
  switch (verdict.code) {
    case "nothing_yet":
      return "Press the signs you see. These odds are from the kind of plant, the place, the season and what you have now.";
    case "named":
      return verdict.pests.length > 1
        ? `Most likely ${verdict.pests.map(name).join(" and ")}, both at once.`
        : `Most likely ${name(verdict.pests[0]!)}.`;
    case "none":
      return `Most likely none of these (${percent(verdict.p)}): see what it may be instead.`;
    case "alike": {
      const [a, b] = verdict.pests;
      const both = `These signs do not tell ${name(a)} and ${name(b)} apart.`;
      return verdict.test ? `${both} The test below may; until then treat as both.` : `${both} Treat as both.`;
    }
    case "unsure":
      return `Not sure yet: ${name(verdict.likeliest)} at ${percent(verdict.p)}${verdict.test ? ". The test below tells most." : "."}`;
  }
}

export interface NamingResult {
  readonly pests: readonly PestId[];
  readonly naming: NamingOnRecord;
}

/** Signs in, likely pests out. The keeper has the last word. */
export function Naming({
  circumstances,
  onNamed,
  onNone,
}: {
  circumstances: Circumstances;
  onNamed: (result: NamingResult) => void;
  onNone: (naming: NamingOnRecord) => void;
}) {
  const [observed, setObserved] = useState<Observations>({});
  const { form } = circumstances;
  const priors = useMemo(() => priorsFor(circumstances), [circumstances]);
  const posterior = useMemo(() => posteriorOf(priors, observed, form), [priors, observed, form]);
  const worth = useMemo(() => testsByWorth(posterior, priors, form, observed), [posterior, priors, form, observed]);
  const about = inQuestion(posterior, priors);
  const looked = Object.values(observed).filter(Boolean).length;
  const verdict = verdictOf(posterior, about, worth, looked);
  const order = byChance(posterior);
  const present = signIds.filter((sign) => observed[sign] === "present");
  const absent = signIds.filter((sign) => observed[sign] === "absent");
  const set = (sign: SignId) => (seen: Seen) =>
    setObserved((before) => {
      const { [sign]: _, ...rest } = before;
      return seen === undefined ? rest : { ...rest, [sign]: seen };
    });

  const first = order.find((pest) => about.includes(pest))!;
  const likeliest = looked === 0 || posterior.none > posterior.of[first] ? null : first;
  const record = (spokenFor: boolean): NamingOnRecord => ({
    present,
    absent,
    likeliest,
    by: spokenFor && looked > 0 ? "signs" : "keeper",
  });
  const [signOnly, setSignOnly] = useState<readonly SignOnlyId[]>([]);
  const take = (suspects: readonly SuspectId[]) => {
    const pests = suspects.filter(isReckoned);
    setSignOnly(suspects.filter((one): one is SignOnlyId => !isReckoned(one)));
    if (pests.length > 0) takeReckoned(pests);
  };
  const takeReckoned = (pests: readonly PestId[]) =>
    onNamed({ pests, naming: record(pests.every((pest) => pest === likeliest || posterior.of[pest] >= NAMED_FROM)) });

  const next = worth[0];
  const alike = verdict.code === "alike" ? verdict.pests : null;
  const several = verdict.code === "named" && verdict.pests.length > 1 ? verdict.pests : null;
  const lookAlikes = lookAlikesOf(present, form);
  return (
    <div className="naming">
      <section className="naming-odds" aria-label="The likely pests">
        <p className="mb-2" role="status">
          {verdictInWords(verdict)}
        </p>
        <ol className="odds">
          {order.slice(0, SHOWN).map((pest) => (
            <li key={pest}>
              <button type="button" className="odd" onClick={() => take([pest])}>
                <span className="odd-bar" style={{ width: `${posterior.of[pest] * 100}%` }} aria-hidden />
                <span>{suspectName(pest)}</span>
                <span>{percent(posterior.of[pest])}</span>
              </button>
            </li>
          ))}
          <li>
            <button type="button" className="odd" onClick={() => onNone(record(likeliest === null))}>
              <span className="odd-bar" style={{ width: `${posterior.none * 100}%` }} aria-hidden />
              <span>None of these</span>
              <span>{percent(posterior.none)}</span>
            </button>
          </li>
          <li>
            <span className="odd">
              <span className="odd-bar" style={{ width: `${posterior.other * 100}%` }} aria-hidden />
              <span>Something else</span>
              <span>{percent(posterior.other)}</span>
            </span>
          </li>
        </ol>
        {(alike ?? several) && (
          <Button className="mt-2" onClick={() => take((alike ?? several)!)}>
            {several && several.length > 2 ? "Take all" : "Take both"}:{" "}
            {(alike ?? several)!.map((pest) => suspectName(pest).toLowerCase()).join(" and ")}
          </Button>
        )}
      </section>
      {present.length > 0 && verdict.code !== "none" && (
        <section>
          <Button variant="outline-primary" onClick={() => onNone({ ...record(true), open: true })}>
            Keep it open without a name
          </Button>
          <p className="small text-body-secondary mb-0">
            What to do meanwhile, and the day and the test that decide, stand on the plant.
          </p>
        </section>
      )}
      {signOnly.map((id) => (
        <section key={id} className="alert alert-info mb-0" role="status">
          <h2 className="h3">{suspectName(id)}: no plan is reckoned</h2>
          <p className="mb-1">
            Too little is known of how it lives on house plants for dates to be reckoned, so no case can be opened. Set
            the plant apart, and write what you saw into the note of a look.
          </p>
          <p className="mb-0">{signOnlyAdvice[id]}</p>
        </section>
      ))}
      {looked > 0 && next && next.bits >= SETTLES_FROM_BITS && (
        <section className="naming-test">
          <h2 className="h3">The test that would tell most now: {testOn(next.test, form).name}</h2>
          <p className="mb-2">{testOn(next.test, form).how}</p>
          <div className="signs">
            {tests[next.test].shows
              .filter((sign) => canShow(sign, form))
              .map((sign) => (
                <SignToggle key={sign} sign={sign} seen={observed[sign]} onChange={set(sign)} />
              ))}
          </div>
        </section>
      )}
      {lookAlikes.length > 0 && (
        <section>
          <h2 className="h3">It may be instead</h2>
          <ul className="mb-0 ps-3">
            {lookAlikes.map((id) => (
              <li key={id}>
                <strong>{lookAlikeNames[id].name}:</strong> {lookAlikeNames[id].tell}
              </li>
            ))}
          </ul>
        </section>
      )}
      <section>
        <h2 className="h3">Signs</h2>
        <p className="small text-body-secondary mb-2">Once: there. Twice: looked for, not there.</p>
        <div className="signs">
          {signIds
            .filter((sign) => canShow(sign, form))
            .filter((sign) => (seenSignIds as readonly SignId[]).includes(sign) || observed[sign] !== undefined)
            .map((sign) => (
              <SignToggle key={sign} sign={sign} seen={observed[sign]} onChange={set(sign)} />
            ))}
        </div>
      </section>
      <section>
        <Form.Label htmlFor="own-word" className="fw-semibold mb-1">
          I know what it is
        </Form.Label>
        <Form.Select
          id="own-word"
          value=""
          onChange={(event) =>
            onNamed({ pests: [event.target.value as PestId], naming: { ...record(false), by: "keeper" } })
          }
        >
          <option value="">Your word goes before the odds</option>
          {pestIds.map((pest) => (
            <option key={pest} value={pest}>
              {pestNames[pest]}
            </option>
          ))}
        </Form.Select>
      </section>
    </div>
  );
}
