"use client";

import { useState } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { v7 as uuidv7 } from "uuid";
import { beginProgrammeAction } from "@/app/_parts/actions";
import { usePress } from "@/app/_parts/usePress";
import { gnatWayIds, type GnatWayId } from "@/core/acts/gnatWayIds";
import { toggled } from "@/ui/toggled";
import { gnatWayNames } from "@/wording/advice/seasons/seasons";

/** The ways to be carried out; each hits one stage of their life, so they are combined. */
export function ChooseWays({
  placeId,
  chosen,
  running,
  meets,
}: {
  placeId: string;
  chosen: readonly GnatWayId[];
  running: boolean;
  meets: Readonly<Record<GnatWayId, string>>;
}) {
  const { press, trouble, going } = usePress(beginProgrammeAction);
  const [ways, setWays] = useState<readonly GnatWayId[]>(chosen);
  const [said, setSaid] = useState("");
  const begin = async () => {
    setSaid("");
    if (ways.length === 0) return setSaid("Choose at least one method.");
    if (await press({ id: uuidv7(), placeId, chosen: { programme: "gnats", ways: [...ways] } }))
      setSaid(running ? "Saved." : "");
  };
  return (
    <>
      <p className="small">Each one hits a single stage of their life: combine them.</p>
      {gnatWayIds.map((way) => (
        <Form.Check
          key={way}
          id={`way-${way}`}
          className="mb-1"
          checked={ways.includes(way)}
          onChange={() => setWays((all) => toggled(all, way))}
          label={`${gnatWayNames[way]} (${meets[way]})`}
        />
      ))}
      {(trouble || said) && (
        <p className="fw-semibold mb-1" role="alert">
          {trouble || said}
        </p>
      )}
      <Button
        className="mt-2"
        variant={running ? "outline-primary" : "primary"}
        disabled={going}
        onClick={() => void begin()}
      >
        {running ? "Save these" : "Start"}
      </Button>
    </>
  );
}
