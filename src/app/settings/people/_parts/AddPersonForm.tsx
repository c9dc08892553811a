"use client";

import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { addPersonAction } from "@/app/door/_parts/actions";
import { addPerson } from "@/core/access/commands";
import { roleIds, type RoleId } from "@/core/access/roles";
import { SelectField, SubmitRow, TextField } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";
import { roleNames } from "@/wording/names/access";

export function AddPersonForm() {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: addPerson,
    action: addPersonAction,
    defaults: () => ({ id: uuidv7(), name: "", role: "keeper" as RoleId, from: "", until: "" }),
    done: () => {
      form.reset({ id: uuidv7(), name: "", role: "keeper", from: "", until: "" });
      router.refresh();
    },
  });
  return (
    <form onSubmit={submit} noValidate>
      <TextField form={form} name="name" label="Their name" />
      <SelectField
        form={form}
        name="role"
        label="What they may do"
        options={roleIds.map((role) => [role, roleNames[role]] as const)}
      />
      <div className="row">
        <div className="col-sm-6">
          <TextField form={form} name="from" label="From" type="date" hint="Empty: from now on." />
        </div>
        <div className="col-sm-6">
          <TextField form={form} name="until" label="Until" type="date" hint="Including this day. Empty: no end." />
        </div>
      </div>
      <SubmitRow form={form} trouble={trouble} label="Add" />
    </form>
  );
}
