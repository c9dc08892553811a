"use client";

import { useMemo, useState } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { lookAlikesOf } from "@/core/knowledge/signs/lookAlikes";
import { inQuestion, testsByWorth } from "@/core/advice/diagnosis/expectedInformation";
import { posteriorOf } from "@/core/advice/diagnosis/posterior";
import { priorsFor, type Circumstances } from "@/core/advice/diagnosis/priors";
import { canShow, seenSignIds, signIds, tests, type Observations, type SignId } from "@/core/knowledge/signs/signs";
import { isReckoned, type SignOnlyId, type SuspectId } from "@/core/knowledge/signs/suspects";
import { byChance, NAMED_FROM, SETTLES_FROM_BITS, verdictOf, type Verdict } from "@/core/advice/diagnosis/verdict";
import type { Naming as NamingOnRecord } from "@/core/record/facts/kinds/look";
import { pestIds, type PestId } from "@/core/knowledge/pests/pests";
import { percent } from "@/wording/advice/chances";
import { pestNames, signOnlyAdvice, suspectName } from "@/wording/names/names";
import { LookAlikes } from "@/ui/animals/lookAlikes";
import { testOn } from "@/wording/names/signs";
import { SignToggle, type Seen } from "../signs/SignToggle";
import { SideBySide, SmallAnimal } from "../animals/SideBySide";

/** How many of the likely pests stand above the signs. */
const SHOWN = 4;

/** The sentence above the signs. */
function verdictInWords(verdict: Verdict): string {
  const name = (pest: SuspectId) => suspectName(pest).toLowerCase();
  switch (verdict.code) {
    case "nothing_yet":
      return "Press the signs you see. So far the odds come from the plant, the place, the season and your other cases.";
    case "named":
      return verdict.pests.length > 1
        ? `Most likely ${verdict.pests.map(name).join(" and ")}, both at once.`
        : `Most likely ${name(verdict.pests[0]!)}.`;
    case "none":
      return `Most likely none of these (${percent(verdict.p)}): see what else it may be.`;
    case "alike": {
      const [a, b] = verdict.pests;
      const both = `These signs do not tell ${name(a)} and ${name(b)} apart.`;
      return verdict.test ? `${both} The test below may; until then treat for both.` : `${both} Treat for both.`;
    }
    case "unsure":
      return `Not sure yet: ${name(verdict.likeliest)} at ${percent(verdict.p)}${verdict.test ? ". The test below would tell most." : "."}`;
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
  const [one, other] = order.filter(isReckoned);
  const compared = one && other ? ([one, other] as const) : null;
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
                <SmallAnimal pest={pest} />
                <span className="odd-name">
                  <span>{suspectName(pest)}</span>
                  <span>{percent(posterior.of[pest])}</span>
                </span>
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
        {present.length > 0 && compared && (
          <details className="mt-2">
            <summary>
              {suspectName(compared[0])} and {suspectName(compared[1]).toLowerCase()} side by side
            </summary>
            <SideBySide pests={compared} />
          </details>
        )}
        {(alike ?? several) && (
          <Button className="mt-2" onClick={() => take((alike ?? several)!)}>
            {several && several.length > 2 ? "Choose all" : "Choose both"}:{" "}
            {(alike ?? several)!.map((pest) => suspectName(pest).toLowerCase()).join(" and ")}
          </Button>
        )}
      </section>
      {present.length > 0 && verdict.code !== "none" && (
        <section>
          <Button variant="outline-primary" onClick={() => onNone({ ...record(true), open: true })}>
            Leave it unnamed for now
          </Button>
          <p className="small text-body-secondary mb-0">
            The plant&rsquo;s page then says what to do meanwhile, and which test on which day decides.
          </p>
        </section>
      )}
      {signOnly.map((id) => (
        <section key={id} className="alert alert-info mb-0" role="status">
          <h2 className="h3">{suspectName(id)}: no plan</h2>
          <p className="mb-1">
            Too little is known about how it lives on house plants to work out dates, so no case can be opened. Set the
            plant apart, and put what you saw in the note of a look.
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
          <h2 className="h3">It could also be</h2>
          <LookAlikes ids={lookAlikes} />
        </section>
      )}
      <section>
        <h2 className="h3">Signs</h2>
        <p className="small text-body-secondary mb-2">Press once: present. Press twice: looked for, not present.</p>
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
          <option value="">You overrule the odds</option>
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
