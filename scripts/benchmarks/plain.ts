// The same judgement as the engine's, written once more as plainly as can be: one function, flat loops, no objects on the way. It
// is here to be raced against, and to be disagreed with.
import type { CaseHistory } from "../../src/core/clearance/history";

const REACH = [
  [2, "low", 0.25],
  [1, "likely", 0.5],
  [0.5, "high", 0.25],
] as const;
const EGGS = [
  [0.6, 0.25],
  [1, 0.5],
  [1.3, 0.25],
] as const;

/** P(clear) of a case found once, on its first day, and the sum of the animals expected now; `shares` as first found. */
export function plainly(history: CaseHistory, shares: Float64Array, asOfDays: number, dt: number): [number, number] {
  const { pest, sites, dailyMeanC, events } = history;
  const S = sites.shelteredShare;
  const D = sites.deepShare;
  const p = [1 - S, S * (1 - D), S * D];
  const go = new Float64Array(9);
  for (let a = 0; a < 3; a++) {
    const leave = 1 - Math.exp(-sites.mixPerDay * (1 - p[a]!) * dt);
    for (let b = 0; b < 3; b++) go[3 * a + b] = a === b ? 1 - leave : (leave * p[b]!) / (1 - p[a]!);
  }
  const stageOf: number[] = [];
  pest.stages.forEach((stage, i) => {
    for (let k = 0; k < stage.substages; k++) stageOf.push(i);
  });
  const K = stageOf.length;
  const N = 3 * K;
  const days = Math.ceil(asOfDays);
  const stages = pest.stages.length;
  const advance = new Float64Array(days * stages);
  const survive = new Float64Array(stages);
  const lay = new Float64Array(days * stages);
  const mobile = pest.stages.map((stage) => stage.mobile === true);
  for (let i = 0; i < stages; i++) survive[i] = Math.exp(-pest.stages[i]!.dailyDeath * dt);
  for (let day = 0; day < days; day++) {
    const warmth = Math.max(0, Math.min(dailyMeanC[Math.min(day, dailyMeanC.length - 1)]!, pest.upperC) - pest.lowerC);
    for (let i = 0; i < stages; i++) {
      const stage = pest.stages[i]!;
      advance[day * stages + i] = (stage.substages * warmth * dt) / stage.degreeDays;
      lay[day * stages + i] = ((stage.femaleEggs ?? 0) * warmth * dt) / stage.degreeDays;
    }
  }
  const steps = Math.round(asOfDays / dt);
  const perDay = Math.round(1 / dt);
  const logWeights: number[] = [];
  const clear: number[] = [];
  const left: number[] = [];
  const m = new Float64Array(N + 3);
  const v = new Float64Array(N + 3);
  const unseen = new Float64Array(N);
  const seenShares = new Float64Array(N);
  const chances = new Float64Array(N);
  for (const [escape, column, reachPrior] of REACH) {
    for (const [eggs, eggPrior] of EGGS) {
      // Where the numbers start, and the finds after the first.
      let log = Math.log(reachPrior * eggPrior);
      let c = 0;
      let shape = 0;
      let start = 0;
      let lastFind = 0;
      let step = 0;
      const fill = (event: (typeof events)[number]) => {
        for (let i = 0; i < N; i++) {
          const stage = stageOf[(i / 3) | 0]!;
          if (event.kind === "inspection") chances[i] = event.see[stage]![i % 3]!;
          else if (event.kind === "treatment") {
            const hit = (event.touch?.[stage] ?? event.reach[pest.stages[stage]!.where] ?? [0, 0, 0])[i % 3]!;
            const missed = hit === 0 || i % 3 === 2 ? 1 - hit : Math.min(1, (1 - hit) * escape);
            chances[i] =
              event.kill[stage]![column] * (1 - missed) * (event.cover?.[pest.stages[stage]!.where]?.[i % 3] ?? 1);
          }
        }
      };
      const on = (to: number) => {
        for (; step < to; step++) {
          const row = Math.floor(step / perDay) * stages;
          let b0 = 0;
          let b1 = 0;
          let b2 = 0;
          m[N] = m[N + 1] = m[N + 2] = 0;
          for (let k = K - 1; k >= 0; k--) {
            const stage = stageOf[k]!;
            const i = 3 * k;
            const s = survive[stage]!;
            const a = advance[row + stage]!;
            const l = lay[row + stage]! * eggs;
            const x = m[i]!;
            const y = m[i + 1]!;
            const z = m[i + 2]!;
            b0 += l * x;
            b1 += l * y;
            b2 += l * z;
            let X = x;
            let Y = y;
            let Z = z;
            if (mobile[stage]) {
              X = x * go[0]! + y * go[3]! + z * go[6]!;
              Y = x * go[1]! + y * go[4]! + z * go[7]!;
              Z = x * go[2]! + y * go[5]! + z * go[8]!;
            }
            m[i] = s * (1 - a) * X;
            m[i + 1] = s * (1 - a) * Y;
            m[i + 2] = s * (1 - a) * Z;
            m[i + 3]! += s * a * X;
            m[i + 4]! += s * a * Y;
            m[i + 5]! += s * a * Z;
          }
          m[0]! += b0;
          m[1]! += b1;
          m[2]! += b2;
        }
      };
      for (let e = 0; e < events.length; e++) {
        const event = events[e]!;
        if (event.kind === "lasting") continue;
        const at = Math.round(event.atDays / dt);
        fill(event);
        if (e === 0 && event.kind === "inspection") {
          let visible = 0;
          for (let i = 0; i < N; i++) visible += shares[i]! * chances[i]!;
          const total = (1 + event.found) / (1 / 200 + visible);
          c = event.removed ? 0 : event.found;
          shape = 1 + event.found;
          for (let i = 0; i < N; i++) {
            unseen[i] = total * shares[i]! * (1 - chances[i]!);
            seenShares[i] = (shares[i]! * chances[i]!) / visible;
            m[i] = unseen[i]! + c * seenShares[i]!;
          }
          step = start = at;
          continue;
        }
        on(at);
        if (event.kind === "treatment") for (let i = 0; i < N; i++) m[i]! *= 1 - chances[i]!;
        else if (event.kind === "inspection") {
          let visible = 0;
          for (let i = 0; i < N; i++) visible += m[i]! * chances[i]!;
          if (event.found > 0) throw new RangeError("the plain version knows one find");
          for (let i = 0; i < N; i++) m[i]! *= ((1 - chances[i]!) * 2) / (2 + visible);
        }
      }
      on(steps);
      let sum = 0;
      for (let i = 0; i < N; i++) sum += m[i]!;
      left.push(sum);
      // Backward: gone and unseen, then unseen alone.
      const logs = [0, 1].map((all) => {
        for (let i = 0; i < N; i++) v[i] = all;
        v[N] = v[N + 1] = v[N + 2] = 1;
        let at = steps;
        for (let e = events.length - 1; e >= lastFind; e--) {
          const event = events[e]!;
          if (event.kind === "lasting") continue;
          for (const begin = Math.round(event.atDays / dt); at > begin; at--) {
            const row = Math.floor((at - 1) / perDay) * stages;
            const e0 = v[0]! - 1;
            const e1 = v[1]! - 1;
            const e2 = v[2]! - 1;
            let x = v[0]!;
            let y = v[1]!;
            let z = v[2]!;
            for (let k = 0; k < K; k++) {
              const stage = stageOf[k]!;
              const i = 3 * k;
              const s = survive[stage]!;
              const a = advance[row + stage]!;
              const l = lay[row + stage]! * eggs;
              const X = (1 - a) * x + a * v[i + 3]!;
              const Y = (1 - a) * y + a * v[i + 4]!;
              const Z = (1 - a) * z + a * v[i + 5]!;
              let A = X;
              let B = Y;
              let C = Z;
              if (mobile[stage]) {
                A = go[0]! * X + go[1]! * Y + go[2]! * Z;
                B = go[3]! * X + go[4]! * Y + go[5]! * Z;
                C = go[6]! * X + go[7]! * Y + go[8]! * Z;
              }
              x = v[i + 3]!;
              y = v[i + 4]!;
              z = v[i + 5]!;
              v[i] = 1 - s + s * A;
              v[i + 1] = 1 - s + s * B;
              v[i + 2] = 1 - s + s * C;
              if (l > 0) {
                v[i]! *= Math.exp(l * e0);
                v[i + 1]! *= Math.exp(l * e1);
                v[i + 2]! *= Math.exp(l * e2);
              }
            }
          }
          if (e === 0) break;
          fill(event);
          const dead = event.kind === "treatment" ? 1 : 0;
          for (let i = 0; i < N; i++) v[i] = dead * chances[i]! + (1 - chances[i]!) * v[i]!;
        }
        let short = 0;
        let ones = 0;
        for (let i = 0; i < N; i++) {
          short += unseen[i]! * (1 - v[i]!);
          ones += seenShares[i]! * v[i]!;
        }
        return (c > 0 ? c * Math.log(ones) : 0) - shape * Math.log1p(short / shape);
      }) as [number, number];
      log += logs[1];
      logWeights.push(log);
      clear.push(Math.exp(logs[0] - logs[1]));
      void start;
      lastFind = 0;
    }
  }
  const greatest = Math.max(...logWeights);
  const weights = logWeights.map((l) => Math.exp(l - greatest));
  const all = weights.reduce((a, b) => a + b, 0);
  const mean = (xs: readonly number[]) => xs.reduce((a, x, k) => a + (x * weights[k]!) / all, 0);
  return [mean(clear), mean(left)];
}
