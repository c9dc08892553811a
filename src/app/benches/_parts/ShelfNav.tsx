import { ChevronLeft, ChevronRight } from "lucide-react";
import { memo } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import type { Row } from "./shelves";

interface Props {
  readonly rows: readonly Row[];
  /** Which of the shelves is in sight, counted from the first. */
  readonly at: number;
  readonly onGo: (to: number) => void;
}

/** On a phone one shelf is in sight: it is swiped, stepped, or chosen by its name. */
export const ShelfNav = memo(function ShelfNav({ rows, at, onGo }: Props) {
  const rooms: { readonly id: string; readonly name: string; readonly shelves: { name: string; at: number }[] }[] = [];
  let count = 0;
  for (const row of rows)
    if (row.kind === "room") rooms.push({ id: row.id, name: row.name, shelves: [] });
    else rooms.at(-1)?.shelves.push({ name: row.shelf.name, at: count++ });
  return (
    <nav className="shelf-nav" aria-label="Shelves">
      <Button variant="outline-primary" aria-label="The shelf before" disabled={at === 0} onClick={() => onGo(at - 1)}>
        <ChevronLeft size={20} aria-hidden />
      </Button>
      <Form.Select aria-label="Shelf" value={at} onChange={(event) => onGo(Number(event.target.value))}>
        {rooms.map(({ id, name, shelves }) => (
          <optgroup key={id} label={name}>
            {shelves.map((shelf) => (
              <option key={shelf.at} value={shelf.at}>
                {shelf.name}
              </option>
            ))}
          </optgroup>
        ))}
      </Form.Select>
      <Button
        variant="outline-primary"
        aria-label="The next shelf"
        disabled={at >= count - 1}
        onClick={() => onGo(at + 1)}
      >
        <ChevronRight size={20} aria-hidden />
      </Button>
    </nav>
  );
});
