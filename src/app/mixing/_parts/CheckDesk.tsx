"use client";

import { useState } from "react";
import Form from "react-bootstrap/Form";
import { labelled, type Bottle } from "@/core/household/bottles";
import {
  amountMeasures,
  checkedRemedies,
  checkMix,
  mayShareCan,
  perLitreOf,
  vesselMeasures,
  type AmountMeasure,
  type CheckedRemedy,
  type VesselMeasure,
} from "@/core/mixing/check";
import type { RemedyId } from "@/core/remedies/remedies";
import { Panel } from "@/ui/Panel";
import { measureNames, millilitres, ofUsualInWords, strengthInWords, strengthVerdicts } from "@/wording/amounts";
import { mL } from "@/core/units/volume";
import { percent } from "@/wording/chances";
import { remedyNames } from "@/wording/names";
import { NumberBox, read } from "./NumberBox";

const MOST = 100_000;
const beside: readonly RemedyId[] = ["soap", "oil", "neem", "alcohol", "spinosad", "pyrethrins", "sulphur"];

/** What somebody has put together, from the other side: how strong it is and what that does. Nothing is written down here. */
export function CheckDesk({ alcoholPercent, bottles }: { alcoholPercent: number; bottles: readonly Bottle[] }) {
  const [remedy, setRemedy] = useState<CheckedRemedy>("neem");
  const [amount, setAmount] = useState("2");
  const [measure, setMeasure] = useState<AmountMeasure>("drop");
  const [into, setInto] = useState("750");
  const [intoMeasure, setIntoMeasure] = useState<VesselMeasure>("millilitre");
  const [bottle, setBottle] = useState(String(alcoholPercent));
  const [drops, setDrops] = useState("20");
  const [other, setOther] = useState<RemedyId | "">("");
  const [typedAmount, typedInto] = [read(amount, 0.001, MOST), read(into, 0.001, MOST)];
  const [percentOf, dropsInMl] = [read(bottle, 1, 100), read(drops, 5, 60)];
  const label = labelled(bottles, remedy);
  const told =
    typedAmount !== null && typedInto !== null && dropsInMl !== null
      ? checkMix({
          ...{ remedy, amount: typedAmount, measure, into: typedInto, intoMeasure },
          bottle: remedy === "alcohol" && percentOf !== null ? percentOf / 100 : null,
          dropMl: 1 / dropsInMl,
          labelMlPerLitre: label?.unit === "mL" ? label.perLitre : null,
        })
      : null;
  return (
    <div className="row gx-3">
      <div className="col-lg-5">
        <Panel title="What is in my can?">
          <Choice
            id="check-remedy"
            label="What you put in"
            value={remedy}
            choose={(one) => setRemedy(one as CheckedRemedy)}
            options={checkedRemedies.map((id) => [id, remedyNames[id]])}
          />
          <div className="row gx-2">
            <div className="col-5">
              <NumberBox
                id="check-amount"
                label="So much"
                value={amount}
                onChange={setAmount}
                wrong={typedAmount === null}
                right="Write a number above 0."
              />
            </div>
            <div className="col-7">
              <Choice
                id="check-measure"
                label="of these"
                value={measure}
                choose={(one) => setMeasure(one as AmountMeasure)}
                options={amountMeasures.map((id) => [id, measureNames[id][1]])}
              />
            </div>
            <div className="col-5">
              <NumberBox
                id="check-into"
                label="makes"
                value={into}
                onChange={setInto}
                wrong={typedInto === null}
                right="Write a number above 0."
              />
            </div>
            <div className="col-7">
              <Choice
                id="check-into-measure"
                label="of these, all in all"
                value={intoMeasure}
                choose={(one) => setIntoMeasure(one as VesselMeasure)}
                options={vesselMeasures.map((id) => [id, measureNames[id][1]])}
              />
            </div>
          </div>
          {measure === "drop" && (
            <NumberBox
              id="check-drops"
              label="Drops in 1 mL of your dropper"
              value={drops}
              onChange={setDrops}
              wrong={dropsInMl === null}
              right="Write a number from 5 to 60. Count them into a syringe."
            />
          )}
          {remedy === "alcohol" && (
            <NumberBox
              id="check-bottle"
              label="The bottle it came from, % alcohol"
              value={bottle}
              onChange={setBottle}
              wrong={percentOf === null}
              right="Without it nothing can be said. It stands on the bottle."
            />
          )}
          <Choice
            id="check-other"
            label="And in the same can"
            value={other}
            choose={(one) => setOther(one as RemedyId | "")}
            options={[["", "nothing else"], ...beside.map((id) => [id, remedyNames[id]] as const)]}
          />
        </Panel>
      </div>
      <div className="col-lg-7">
        <Panel title="What it is">
          <div aria-live="polite">
            {told === null && <p>Fill in the numbers, and the answer stands here.</p>}
            {told?.code === "bottle_unknown" && (
              <p className="fw-semibold">Of a bottle of unknown strength nothing can be said. Look at its label.</p>
            )}
            {told?.code === "more_than_all" && (
              <p className="fw-semibold">That is more than the whole. The second number is all of it, water and all.</p>
            )}
            {told?.code === "ok" && (
              <>
                <p className="fs-5 mb-1">
                  {strengthInWords(remedy, told.strength)}: {ofUsualInWords(told.ofUsual)}.
                </p>
                <p className={told.verdict === "usual" || told.verdict === "weak" ? "mb-2" : "fw-semibold mb-2"}>
                  {strengthVerdicts[told.verdict]}
                </p>
                <p className="mb-2">
                  {millilitres(told.amountMl)} in {millilitres(told.totalMl)}, which is {millilitres(told.perLitreMl)}{" "}
                  in a litre. Of what the usual strength does to an animal it touches, this does about{" "}
                  {percent(Math.min(1, told.potency))}.
                </p>
              </>
            )}
            {other !== "" && (
              <p className="fw-semibold mb-2">
                {mayShareCan(remedy, other)
                  ? `${remedyNames[other]} may go into the same can, a few drops to a teaspoon.`
                  : `Not in one can with ${remedyNames[other].toLowerCase()}: put them on days apart.`}
              </p>
            )}
          </div>
          <p className="small mb-0">
            Bleach goes together with nothing: not with alcohol, vinegar, ammonia or peroxide. What a strength does is
            our own estimate. Alcohol and water shrink when they are mixed: 95 % cut to 70 % comes out about 1½ per cent
            stronger than reckoned.
          </p>
        </Panel>
        <LabelRate />
      </div>
    </div>
  );
}

/** "My bottle says 9 mL a quart": the same in a litre, and for any volume. */
function LabelRate() {
  const [amount, setAmount] = useState("9");
  const [measure, setMeasure] = useState<AmountMeasure>("millilitre");
  const [per, setPer] = useState<VesselMeasure>("usQuart");
  const [wanted, setWanted] = useState("500");
  const [typed, total] = [read(amount, 0.001, MOST), read(wanted, 1, 20_000)];
  const rate = typed === null ? null : perLitreOf(typed, measure, 1, per);
  return (
    <Panel title="What my label says">
      <div className="row gx-2">
        <div className="col-6 col-md-3">
          <NumberBox
            id="rate-amount"
            label="So much"
            value={amount}
            onChange={setAmount}
            wrong={typed === null}
            right="Write a number above 0."
          />
        </div>
        <div className="col-6 col-md-3">
          <Choice
            id="rate-measure"
            label="of these"
            value={measure}
            choose={(one) => setMeasure(one as AmountMeasure)}
            options={amountMeasures.map((id) => [id, measureNames[id][1]])}
          />
        </div>
        <div className="col-6 col-md-3">
          <Choice
            id="rate-per"
            label="in one"
            value={per}
            choose={(one) => setPer(one as VesselMeasure)}
            options={vesselMeasures.map((id) => [id, measureNames[id][0]])}
          />
        </div>
        <div className="col-6 col-md-3">
          <NumberBox
            id="rate-wanted"
            label="I want, mL"
            value={wanted}
            onChange={setWanted}
            wrong={total === null}
            right="Write a number from 1 to 20000."
          />
        </div>
      </div>
      {rate !== null && total !== null && (
        <p className="mb-0">
          That is {millilitres(rate)} in a litre. For {millilitres(total)} take{" "}
          <strong>{millilitres(mL((rate * total) / 1000))}</strong>, and fill up with water.
        </p>
      )}
    </Panel>
  );
}

interface ChoiceProps {
  id: string;
  label: string;
  value: string;
  choose: (value: string) => void;
  options: readonly (readonly [string, string])[];
}

function Choice({ id, label, value, choose, options }: ChoiceProps) {
  return (
    <Form.Group className="mb-3" controlId={id}>
      <Form.Label className="fw-semibold mb-1">{label}</Form.Label>
      <Form.Select value={value} onChange={(event) => choose(event.target.value)}>
        {options.map(([one, name]) => (
          <option key={one} value={one}>
            {name}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
}
