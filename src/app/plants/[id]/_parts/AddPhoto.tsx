"use client";

import { useRouter } from "next/navigation";
import { useEffect, useRef } from "react";
import { PhotoField } from "@/app/_parts/PhotoField";
import { useOutbox } from "@/offline/useOutbox";

/** Adds a photo to the plant's last look, and shows it once it is kept. */
export function AddPhoto({ lookId, day, about }: { lookId: string; day: string; about: string }) {
  const router = useRouter();
  const { sent } = useOutbox();
  const shown = useRef(sent.length);
  useEffect(() => {
    if (sent.length > shown.current) router.refresh();
    shown.current = sent.length;
  }, [sent.length, router]);
  return <PhotoField lookId={lookId} label={`Add a photo to the look of ${day}`} about={about} />;
}
