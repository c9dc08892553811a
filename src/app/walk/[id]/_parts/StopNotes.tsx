import Form from "react-bootstrap/Form";
import { toggled } from "@/ui/toggled";
import { readyPhrases } from "@/wording/names/walks";

export interface Notes {
  readonly phrases: readonly string[];
  readonly typed: string;
}

export const noNotes: Notes = { phrases: [], typed: "" };

/** The note as it is kept. @example noteOf({ phrases: ["In bud"], typed: "north side" }) // "In bud. north side" */
export const noteOf = ({ phrases, typed }: Notes) => [...phrases, typed.trim()].filter(Boolean).join(". ");

/** A note by a press on a ready phrase, or typed. */
export function StopNotes({ notes, onChange }: { notes: Notes; onChange: (notes: Notes) => void }) {
  return (
    <>
      <div className="d-flex flex-wrap gap-2 mb-2" role="group" aria-label="Quick notes">
        {readyPhrases.map((phrase) => {
          const on = notes.phrases.includes(phrase);
          return (
            <button
              key={phrase}
              type="button"
              className={`btn ${on ? "btn-primary" : "btn-outline-primary"}`}
              aria-pressed={on}
              onClick={() => onChange({ ...notes, phrases: toggled(notes.phrases, phrase) })}
            >
              {phrase}
            </button>
          );
        })}
      </div>
      <Form.Label htmlFor="note" className="fw-semibold mb-1">
        Note
      </Form.Label>
      <Form.Control
        id="note"
        maxLength={1500}
        autoComplete="off"
        value={notes.typed}
        onChange={(event) => onChange({ ...notes, typed: event.target.value })}
      />
    </>
  );
}
