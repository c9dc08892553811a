import type { ReactNode } from "react";
import type { ToldBetween } from "@/core/advice/learning/reliability";
import { ENDED_FOR_GOOD_DAYS, LOOKED_AGAIN_DAYS } from "@/core/advice/learning/courses";
import type { TaughtView } from "@/operations/record/queries/readTaught";
import { Panel } from "@/ui/Panel";
import { Span } from "@/ui/charts/Span";
import { dayCount } from "@/wording/dates";
import { blamedFor, wrongWay, type Learnable, type ToldOf } from "@/core/advice/learning/blame";
import {
  blameSentence,
  cardsSentence,
  expectedSentence,
  passingSentence,
  promiseSentence,
  toldSentence,
} from "@/wording/advice/learning";

interface Props extends Pick<
  TaughtView,
  "closings" | "promises" | "expected" | "cards" | "passing" | "eyes" | "hands"
> {
  /** Whether the keeper wants our estimates alone. */
  readonly oursAlone: boolean;
}

/** Chances that were told, beside what came: at closing, when a plan was adopted, before a look, before cards were counted. */
export function WasItRight(props: Props) {
  const { closings, promises, expected, cards, passing, eyes, hands, oursAlone } = props;
  const { learned } = passing;
  const known = { eyes, hands, passing: learned };
  return (
    <Panel title="Was it right?">
      <Told title="That it is over" of="clean" bins={closings} sentence={toldSentence} known={known}>
        A case called clear counts {dayCount(ENDED_FOR_GOOD_DAYS)} after that, if its plant was looked at again{" "}
        {dayCount(LOOKED_AGAIN_DAYS)} or more after it. None has yet.
      </Told>
      <Told
        title="That the looks after a plan are clean"
        of="clean"
        bins={promises}
        sentence={promiseSentence}
        known={known}
      >
        Plans count once all their treatments were carried out and no other replaced them. None has yet.
      </Told>
      <Told title="What a look finds" of="find" bins={expected} sentence={expectedSentence} known={known}>
        Looks on a walk are held against the chance we told for them. None has been yet.
      </Told>
      <Told
        title="What cards count"
        of={null}
        bins={cards.within ? [cards.within] : []}
        sentence={(bin) => cardsSentence(bin, cards.below, cards.above)}
        known={known}
      >
        Counts on cards are held against the span we told for them: from the second on, if a card was up all the while
        and you recorded them when you counted. None has been yet.
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
  /** What may have made it wrong; null where nothing that is learned bears on it. */
  of: ToldOf | null;
  bins: readonly ToldBetween[];
  sentence: (bin: ToldBetween) => string;
  /** What may explain it where it was wrong. */
  known: Learnable;
  /** What is said while nothing is known. */
  children: ReactNode;
}) {
  const { title, of, bins, sentence, known, children } = props;
  const wrong = wrongWay(bins);
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
      {wrong && of && <p className="mb-0">{blameSentence(blamedFor(of, wrong, known))}</p>}
    </section>
  );
}
