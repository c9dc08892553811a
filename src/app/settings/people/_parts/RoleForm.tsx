"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import Form from "react-bootstrap/Form";
import Button from "react-bootstrap/Button";
import { changePersonAction } from "@/app/door/_parts/actions";
import { roleIds, type RoleId } from "@/core/access/roles";
import { useCollection } from "@/ui/shell/Collection";
import { roleNames } from "@/wording/names/access";
import { dayInWords } from "@/wording/dates";
import type { Day } from "@/core/shared/days";

interface Props {
  readonly accountId: string;
  readonly name: string;
  readonly role: RoleId;
  readonly from: Day | null;
  readonly until: Day | null;
}

/** What somebody is to the collection, changed by choosing; and the press that ends it. */
export function RoleForm({ accountId, name, role, from, until }: Props) {
  const router = useRouter();
  const { id: collectionId } = useCollection();
  const [trouble, setTrouble] = useState<string | null>(null);
  const change = async (to: RoleId | null) => {
    setTrouble(null);
    const result = await changePersonAction(collectionId, { accountId, role: to, from, until }).catch(() => null);
    if (result?.ok) router.refresh();
    else setTrouble(result?.problems.map(({ message }) => message).join(" ") ?? "Check the connection and try again.");
  };
  return (
    <>
      <div className="d-flex gap-2 mb-2">
        <Form.Select
          aria-label={`What ${name} may do`}
          value={role}
          onChange={(event) => void change(event.target.value as RoleId)}
        >
          {roleIds.map((id) => (
            <option key={id} value={id}>
              {roleNames[id]}
            </option>
          ))}
        </Form.Select>
        <Button variant="outline-primary" onClick={() => void change(null)} aria-label={`Remove ${name}`}>
          Remove
        </Button>
      </div>
      {(from ?? until) && (
        <p className="mb-2">
          {from ? `From ${dayInWords(from)}` : "Until"} {from && until ? "until " : ""}
          {until ? dayInWords(until) : ""}
        </p>
      )}
      {trouble && <p className="text-danger-emphasis fw-semibold">{trouble}</p>}
    </>
  );
}
