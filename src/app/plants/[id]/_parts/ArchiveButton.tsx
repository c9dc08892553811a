"use client";

import { useRouter } from "next/navigation";
import { archivePlantAction } from "@/app/_parts/actions";
import { archivePlant } from "@/core/record/facts/commands";
import { SubmitRow } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";

/** Puts the plant out of sight, or back; the record stays either way. */
export function ArchiveButton({ plantId, archived }: { plantId: string; archived: boolean }) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: archivePlant,
    action: archivePlantAction,
    defaults: () => ({ plantId, archived: !archived }),
    done: () => {
      form.setValue("archived", archived);
      router.refresh();
    },
  });
  return (
    <form onSubmit={submit}>
      <SubmitRow
        form={form}
        trouble={trouble}
        label={archived ? "Bring back from the archive" : "Archive"}
        variant="outline-primary"
      />
    </form>
  );
}
