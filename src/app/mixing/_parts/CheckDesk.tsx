"use client";

import { useState } from "react";
import { labelled, type Bottle } from "@/core/knowledge/household/bottles";
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
} from "@/core/knowledge/mixes/check";
import type { RemedyId } from "@/core/knowledge/remedies/remedies";
import { named } from "@/ui/fields/options";
import { SelectBox } from "@/ui/fields/SelectBox";
import { Panel } from "@/ui/Panel";
import { measureNames, ofUsualInWords, strengthInWords, strengthVerdicts } from "@/wording/amounts";
import { mL } from "@/core/units/volume";
import { percent } from "@/wording/advice/chances";
import { remedyNames } from "@/wording/names/names";
import { NumberBox, read, readVolume, volumeRange, volumeTyped } from "./NumberBox";
import { useUnits } from "@/ui/shell/Collection";
import { volumeIn } from "@/wording/units";
import { unitOf } from "@/ui/fields/QuantityField";

const MOST = 100_000;
const beside: readonly RemedyId[] = ["soap", "oil", "neem", "alcohol", "spinosad", "pyrethrins", "sulphur"];

/** What somebody has put together, from the other side: how strong it is and what that does. Nothing is written down here. */
export function CheckDesk({ alcoholPercent, bottles }: { alcoholPercent: number; bottles: readonly Bottle[] }) {
  const units = useUnits();
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
  const checked =
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
        <Panel title="Check what is in your bottle">
          <SelectBox
            label="What you put in"
            value={remedy}
            onPick={setRemedy}
            options={named(checkedRemedies, remedyNames)}
          />
          <div className="row gx-2">
            <div className="col-5">
              <NumberBox
                label="Amount"
                value={amount}
                onChange={setAmount}
                wrong={typedAmount === null}
                right="Enter a number above 0."
              />
            </div>
            <div className="col-7">
              <SelectBox
                label="of these"
                value={measure}
                onPick={setMeasure}
                options={amountMeasures.map((id) => [id, measureNames[id][1]])}
              />
            </div>
            <div className="col-5">
              <NumberBox
                label="makes"
                value={into}
                onChange={setInto}
                wrong={typedInto === null}
                right="Enter a number above 0."
              />
            </div>
            <div className="col-7">
              <SelectBox
                label="total volume"
                value={intoMeasure}
                onPick={setIntoMeasure}
                options={vesselMeasures.map((id) => [id, measureNames[id][1]])}
              />
            </div>
          </div>
          {measure === "drop" && (
            <NumberBox
              label="Drops per mL of your dropper"
              value={drops}
              onChange={setDrops}
              wrong={dropsInMl === null}
              right="Enter a number from 5 to 60. Count the drops into a syringe."
            />
          )}
          {remedy === "alcohol" && (
            <NumberBox
              label="Bottle strength, % alcohol"
              value={bottle}
              onChange={setBottle}
              wrong={percentOf === null}
              right="Needed for an answer. It is printed on the bottle."
            />
          )}
          <SelectBox
            label="Also in the same bottle"
            value={other}
            onPick={setOther}
            options={[["", "nothing else"], ...named(beside, remedyNames)]}
          />
        </Panel>
      </div>
      <div className="col-lg-7">
        <Panel title="What it is">
          <div aria-live="polite">
            {checked === null && <p>Fill in the numbers to see the answer.</p>}
            {checked?.code === "bottle_unknown" && (
              <p className="fw-semibold">Nothing can be said about a bottle of unknown strength. Check its label.</p>
            )}
            {checked?.code === "more_than_all" && (
              <p className="fw-semibold">
                That is more than the total. The second number is everything together, water included.
              </p>
            )}
            {checked?.code === "ok" && (
              <>
                <p className="fs-5 mb-1">
                  {strengthInWords(remedy, checked.strength)}: {ofUsualInWords(checked.ofUsual)}.
                </p>
                <p className={checked.verdict === "usual" || checked.verdict === "weak" ? "mb-2" : "fw-semibold mb-2"}>
                  {strengthVerdicts[checked.verdict]}
                </p>
                <p className="mb-2">
                  {volumeIn(checked.amountMl, units)} in {volumeIn(checked.totalMl, units)}, which is{" "}
                  {volumeIn(checked.perLitreMl, units)} per litre. Compared with the usual strength, its effect on an
                  animal it touches is about {percent(Math.min(1, checked.potency))}.
                </p>
              </>
            )}
            {other !== "" && (
              <p className="fw-semibold mb-2">
                {mayShareCan(remedy, other)
                  ? `${remedyNames[other]} can go in the same bottle, from a few drops up to a teaspoon.`
                  : `Do not combine with ${remedyNames[other].toLowerCase()} in one bottle: use them on different days.`}
              </p>
            )}
          </div>
          <p className="small mb-0">
            Never mix bleach with anything: not alcohol, vinegar, ammonia or peroxide. The effect of a strength is our
            own estimate. Alcohol and water shrink when mixed: 95 % cut to 70 % comes out about 1½ per cent stronger
            than calculated.
          </p>
        </Panel>
        <LabelRate />
      </div>
    </div>
  );
}

/** "My bottle says 9 mL a quart": the same in a litre, and for any volume. */
function LabelRate() {
  const units = useUnits();
  const [amount, setAmount] = useState("9");
  const [measure, setMeasure] = useState<AmountMeasure>("millilitre");
  const [per, setPer] = useState<VesselMeasure>("usQuart");
  const [wanted, setWanted] = useState(volumeTyped(500, units));
  const [typed, total] = [read(amount, 0.001, MOST), readVolume(wanted, units)];
  const rate = typed === null ? null : perLitreOf(typed, measure, 1, per);
  return (
    <Panel title="Convert a label rate">
      <div className="row gx-2">
        <div className="col-6 col-md-3">
          <NumberBox
            label="Amount"
            value={amount}
            onChange={setAmount}
            wrong={typed === null}
            right="Enter a number above 0."
          />
        </div>
        <div className="col-6 col-md-3">
          <SelectBox
            label="of these"
            value={measure}
            onPick={setMeasure}
            options={amountMeasures.map((id) => [id, measureNames[id][1]])}
          />
        </div>
        <div className="col-6 col-md-3">
          <SelectBox
            label="per"
            value={per}
            onPick={setPer}
            options={vesselMeasures.map((id) => [id, measureNames[id][0]])}
          />
        </div>
        <div className="col-6 col-md-3">
          <NumberBox
            label={`I want, ${unitOf("volume", units)}`}
            value={wanted}
            onChange={setWanted}
            wrong={total === null}
            right={volumeRange(units)}
          />
        </div>
      </div>
      {rate !== null && total !== null && (
        <p className="mb-0">
          That is {volumeIn(rate, "metric")} per litre. For {volumeIn(total, units)} take{" "}
          <strong>{volumeIn(mL((rate * total) / 1000), units)}</strong>, and fill up with water.
        </p>
      )}
    </Panel>
  );
}
