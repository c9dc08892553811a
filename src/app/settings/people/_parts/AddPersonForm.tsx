"use client";

import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { addPersonAction } from "@/app/door/_parts/actions";
import { addPerson } from "@/core/access/commands";
import { roleIds, type RoleId } from "@/core/access/roles";
import { date, FieldList, select, text } from "@/ui/fields/FieldList";
import { named } from "@/ui/fields/options";
import { SubmitRow } from "@/ui/fields/fields";
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
      <FieldList
        form={form}
        fields={[text("name", "Their name"), select("role", "What they may do", named(roleIds, roleNames))]}
      />
      <FieldList
        form={form}
        columns={["col-sm-6"]}
        fields={[
          date("from", "From", "Empty: from now on."),
          date("until", "Until", "Including this day. Empty: no end."),
        ]}
      />
      <SubmitRow form={form} trouble={trouble} label="Add" />
    </form>
  );
}
