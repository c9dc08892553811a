import type { SignId } from "@/core/knowledge/signs/signs";
import { signNames } from "@/wording/names/signs";
import { signDrawings } from "./drawings";

export type Seen = "present" | "absent" | undefined;

const words = { present: "there", absent: "not present", none: "not looked for" } as const;

/** One sign with its drawing: pressed once it is there, twice it is not, three times it was not looked for. */
export function SignToggle({ sign, seen, onChange }: { sign: SignId; seen: Seen; onChange: (seen: Seen) => void }) {
  const next: Seen = seen === undefined ? "present" : seen === "present" ? "absent" : undefined;
  return (
    <button type="button" className={`sign ${seen ?? ""}`} onClick={() => onChange(next)}>
      <svg viewBox="0 0 48 48" aria-hidden>
        <path d={signDrawings[sign]} />
      </svg>
      <span className="sign-name">{signNames[sign]}</span>
      <span className="sign-seen">
        <span className="visually-hidden">: </span>
        {words[seen ?? "none"]}
      </span>
    </button>
  );
}
