import { stepAt } from "../clearance/timeline";
import { layoutOf } from "../population/layout";
import { stepFor } from "../population/step";
import type { Pest } from "../../knowledge/pests/pests";
import { remember } from "../../shared/remember";
import { Course, type CarriageHistoryQuestion } from "./carriageHistory";

/** A course takes some fifty kilobytes: those of a large round are kept, and no more. */
const MOST_KEPT = 600;

/** Courses that were followed lately, each once for all plants that share it. */
export class Courses {
  private readonly kept = new Map<string, Course>();
  private readonly written = new WeakMap<object, string>();
  private readonly pests = new Map<Pest, number>();

  /** The course of a question; throws as {@link Course} does. */
  of(question: CarriageHistoryQuestion): Course {
    return remember(this.kept, MOST_KEPT, this.keyOf(question), () => new Course(question));
  }

  /** The same for questions that have the same course: times count by the steps on which they fall. */
  private keyOf({
    pest,
    sites,
    dailyMeanC,
    timeStepDays,
    fromDays,
    events,
    looks,
    asOfDays,
  }: CarriageHistoryQuestion): string {
    if (!this.pests.has(pest)) this.pests.set(pest, this.pests.size);
    const warmest = dailyMeanC.reduce((most, meanC) => Math.max(most, meanC), pest.lowerC + 5);
    const dt = stepFor(layoutOf(pest), warmest, timeStepDays);
    const at = (days: number) => stepAt(dt, days);
    const happened = events.map((event) => {
      const { kind, atDays } = event;
      if (kind === "inspection") return [at(atDays), this.write(event.see)].join(" ");
      if (kind === "lasting") return [at(atDays), at(event.untilDays), this.write(event.effect)].join(" ");
      const { kill, reach, touch, cover } = event;
      return [at(atDays), ...[kill, reach, touch, cover].map((part) => (part ? this.write(part) : ""))].join(" ");
    });
    const when = [this.pests.get(pest), dt, at(fromDays), at(asOfDays), dailyMeanC.join(" ")];
    return [...when, JSON.stringify(sites), ...happened, "", ...looks.map((look) => this.write(look))].join("\n");
  }

  /** Tables that many questions share are written down once. */
  private write(part: object): string {
    const known = this.written.get(part);
    if (known !== undefined) return known;
    const made = JSON.stringify(part);
    this.written.set(part, made);
    return made;
  }
}
