"use client";

import { Link } from "@/ui/Link";
import type { ReactNode } from "react";
import { may, type Right } from "@/core/access/roles";
import { useCollectionIfAny } from "./Collection";

/** Whether whoever looks has a right in the collection of this page. What is refused is refused by the server; this hides what leads there. */
function useMay(right: Right): boolean {
  const role = useCollectionIfAny()?.role;
  return role !== undefined && may(role, right);
}

/** What is shown only to whoever has a right. */
export function Only({ right, children }: { right: Right; children: ReactNode }) {
  return useMay(right) ? children : null;
}

/** A link for whoever may go there, and its words for others. */
export function LinkIfOpen({
  right = "read",
  ...link
}: {
  right?: Right;
  href: string;
  className?: string;
  children: ReactNode;
}) {
  return useMay(right) ? <Link {...link} /> : <span className={link.className}>{link.children}</span>;
}
