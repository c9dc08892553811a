"use client";

import { useState } from "react";
import { Link } from "@/ui/Link";
import Button from "react-bootstrap/Button";
import { isKeptOut, type Home } from "@/core/knowledge/household/household";
import { mixes, mixesWith, remediesIn, type MixId } from "@/core/knowledge/mixes/mixes";
import { remedyIds, type RemedyId } from "@/core/knowledge/remedies/remedies";
import { spoonSets, type SpoonSet } from "@/core/units/spoons";
import { Amounts, type Measuring } from "@/ui/Amounts";
import { Cautions } from "@/ui/Cautions";
import { named } from "@/ui/fields/options";
import { SelectBox } from "@/ui/fields/SelectBox";
import { Panel } from "@/ui/Panel";
import { NumberBox, read, readVolume, volumeRange, volumeTyped } from "./NumberBox";
import { mixNames, remedyNames } from "@/wording/names/names";
import { spoonSetNames } from "@/wording/names/settings";
import { unitOf } from "@/ui/fields/QuantityField";
import { measureMl } from "@/core/units/volume";

/** A mix and a volume give the amounts to measure; nothing is written down here. */
export function MixingDesk({
  measuring,
  home,
  asked,
}: {
  measuring: Measuring;
  home: Home;
  /** What it opens with, where a label or a link says so. */
  asked: { readonly mix: MixId | null; readonly ml: number | null };
}) {
  const { units } = measuring;
  const usual = remedyIds.find((id) => !isKeptOut(id, home, { sensitivities: [] })) ?? "soap";
  const [remedy, setRemedy] = useState<RemedyId>(asked.mix ? mixes[asked.mix].remedy : usual);
  const [mix, setMix] = useState<MixId>(asked.mix ?? mixesWith(remedy)[0]!);
  const [volume, setVolume] = useState(
    volumeTyped(asked.ml ?? (units === "us" ? 16 * measureMl.usFluidOunce : 500), units),
  );
  const [percent, setPercent] = useState(String(measuring.alcoholPercent));
  const [spoons, setSpoons] = useState<SpoonSet>(measuring.spoons);
  const totalMl = readVolume(volume, units);
  const alcoholPercent = read(percent, 1, 100);
  const allowed = remedyIds.filter((id) => !isKeptOut(id, home, { sensitivities: [] }));
  const choose = (next: RemedyId) => {
    setRemedy(next);
    setMix(mixesWith(next)[0]!);
  };
  return (
    <div className="row gx-3">
      <div className="col-lg-5">
        <Panel title="Mix a remedy">
          <SelectBox label="Remedy" value={remedy} options={named(allowed, remedyNames)} onPick={choose} />
          <SelectBox label="Mix" value={mix} options={named(mixesWith(remedy), mixNames)} onPick={setMix} />
          <NumberBox
            label={`Amount to make, ${unitOf("volume", units)}`}
            value={volume}
            onChange={setVolume}
            wrong={totalMl === null}
            right={volumeRange(units)}
          />
          {remediesIn(mix).includes("alcohol") && (
            <NumberBox
              label="Your bottle, % alcohol"
              value={percent}
              onChange={setPercent}
              wrong={alcoholPercent === null}
              right="Enter a number from 1 to 100."
            />
          )}
          <SelectBox label="Measure with" value={spoons} options={named(spoonSets, spoonSetNames)} onPick={setSpoons} />
        </Panel>
      </div>
      <div className="col-lg-7">
        <Panel title={mixNames[mix]}>
          {totalMl === null || alcoholPercent === null ? (
            <p className="mb-0">Fill in the numbers to see the amounts.</p>
          ) : (
            <>
              <Cautions mix={mix} />
              <Amounts mix={mix} totalMl={totalMl} measuring={{ ...measuring, spoons, alcoholPercent }} />
              <div className="d-flex flex-wrap gap-2 mt-3">
                <Button variant="outline-primary" onClick={() => setVolume(String(totalMl / 2))}>
                  Half of it
                </Button>
                <Link className="btn btn-outline-primary" href={`/mixing/label?mix=${mix}&ml=${totalMl}`}>
                  Print bottle labels
                </Link>
              </div>
            </>
          )}
        </Panel>
      </div>
    </div>
  );
}
