import type { ReactNode } from "react";
import type { ToldBetween } from "@/core/advice/learning/reliability";
import { ENDED_FOR_GOOD_DAYS } from "@/core/advice/learning/courses";
import type { TaughtView } from "@/operations/record/queries/readTaught";
import { Panel } from "@/ui/Panel";
import { Span } from "@/ui/charts/Span";
import { dayCount } from "@/wording/dates";
import { expectedSentence, passingSentence, promiseSentence, toldSentence } from "@/wording/advice/learning";

interface Props extends Pick<TaughtView, "closings" | "promises" | "expected" | "passing"> {
  /** Whether the keeper wants our estimates alone. */
  readonly oursAlone: boolean;
}

/** Chances that were told, beside what came: at closing, when a plan was adopted, before a look. */
export function WasItRight({ closings, promises, expected, passing: { learned }, oursAlone }: Props) {
  return (
    <Panel title="Was it right?">
      <Told title="That it is over" bins={closings} sentence={toldSentence}>
        No case called clear has been closed for {dayCount(ENDED_FOR_GOOD_DAYS)} yet.
      </Told>
      <Told title="That the looks after a plan are clean" bins={promises} sentence={promiseSentence}>
        Plans count once all their treatments were carried out and no other replaced them. None has yet.
      </Told>
      <Told title="What a look finds" bins={expected} sentence={expectedSentence}>
        Looks on a walk are held against the chance we told for them. None has been yet.
      </Told>
      {learned && (
        <p className="mb-0">
          {passingSentence(learned)}{" "}
          {oursAlone ? "What plants may carry goes by our estimates." : "What plants may carry goes by that."}
        </p>
      )}
    </Panel>
  );
}

function Told(props: {
  title: string;
  bins: readonly ToldBetween[];
  sentence: (bin: ToldBetween) => string;
  /** What is said while nothing is known. */
  children: ReactNode;
}) {
  const { title, bins, sentence, children } = props;
  return (
    <section className="mb-3">
      <h3 className="h6">{title}</h3>
      {bins.length === 0 ? (
        <p className="mb-0">{children}</p>
      ) : (
        <ul className="list-unstyled mb-0">
          {bins.map((bin) => (
            <li key={bin.from} className="mb-2">
              {sentence(bin)}
              <Span counted={bin.came} told={bin.told} bare />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
