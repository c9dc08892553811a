"use client";

import { useRouter } from "next/navigation";
import Form from "react-bootstrap/Form";
import type { GroupAsked, GroupView } from "@/operations/sessions/queries/readGroup";
import { Panel } from "@/ui/Panel";
import { pestNames } from "@/wording/names/names";

/** A group as the address names it. */
const addressOf = (who: string, id = "") => `/session?who=${who}${id && `&id=${id}`}`;

/** Which plants: a place, those with a pest, those at risk, or those set apart. */
export function Who({ asked, places, pests }: { asked: GroupAsked | null } & Pick<GroupView, "places" | "pests">) {
  const router = useRouter();
  const now = !asked
    ? ""
    : asked.who === "place"
      ? addressOf("place", asked.id)
      : asked.who === "pest"
        ? addressOf("pest", asked.pest)
        : addressOf(asked.who, "id" in asked ? asked.id : "");
  return (
    <Panel title="Which plants">
      <Form.Select
        aria-label="Which plants"
        value={now}
        onChange={(event) => router.push(event.target.value || "/session")}
      >
        <option value="">Choose the plants</option>
        <optgroup label="Where they stand">
          {places.map(({ id, name, plants }) => (
            <option key={id} value={addressOf("place", id)}>
              {name}: {plants}
            </option>
          ))}
        </optgroup>
        {pests.length > 0 && (
          <optgroup label="By pest">
            {pests.map(({ pest, plants }) => (
              <option key={pest} value={addressOf("pest", pest)}>
                {pestNames[pest]}: {plants}
              </option>
            ))}
          </optgroup>
        )}
        <optgroup label="By state">
          <option value={addressOf("atRisk")}>At risk</option>
          <option value={addressOf("apart")}>Set apart</option>
          {asked?.who === "walk" && <option value={now}>From this walk</option>}
        </optgroup>
      </Form.Select>
    </Panel>
  );
}
