// The same judgement as the engine's, written once more as plainly as can be: one function, flat loops, no objects on the way. It
// is here to be raced against, and to be disagreed with.
import type { CaseHistory } from "../../src/core/model/clearance/history";

const REACH = [
  [2.5, "low", 0.25],
  [1, "likely", 0.5],
  [1 / 3, "high", 0.25],
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
  const v = new Float64Array(N + 3);
  const together = new Float64Array(N);
  const d = new Float64Array(N + 3);
  const seenShares = new Float64Array(N);
  const chances = new Float64Array(N);
  for (const [escape, column, reachPrior] of REACH) {
    for (const [eggs, eggPrior] of EGGS) {
      // Where the numbers start, and the finds after the first.
      let log = Math.log(reachPrior * eggPrior);
      let c = 0;
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
      const [first, ...later] = events;
      if (first?.kind !== "inspection" || later.some((one) => one.kind === "inspection" && one.found > 0))
        throw new RangeError("the plain version knows one find, on the first day");
      fill(first);
      let visible = 0;
      for (let i = 0; i < N; i++) visible += shares[i]! * chances[i]!;
      const total = (1 + first.found) / (1 / 200 + visible);
      const stay = first.removed ? 0 : first.found;
      c = Math.min(2, stay);
      for (let i = 0; i < N; i++) {
        seenShares[i] = (shares[i]! * chances[i]!) / visible;
        together[i] = total * shares[i]! * (1 - chances[i]!) + (stay - c) * seenShares[i]!;
      }
      // Backward: gone and unseen, then unseen alone.
      // With the second goes how many are left of one animal where nothing was seen.
      let expected = 0;
      const logs = [0, 1].map((all) => {
        for (let i = 0; i < N; i++) d[i] = v[i] = all;
        v[N] = v[N + 1] = v[N + 2] = 1;
        d[N] = d[N + 1] = d[N + 2] = 0;
        let at = steps;
        for (let e = events.length - 1; e >= 0; e--) {
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
            const d0 = d[0]!;
            const d1 = d[1]!;
            const d2 = d[2]!;
            let dx = d0;
            let dy = d1;
            let dz = d2;
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
              const DX = (1 - a) * dx + a * d[i + 3]!;
              const DY = (1 - a) * dy + a * d[i + 4]!;
              const DZ = (1 - a) * dz + a * d[i + 5]!;
              dx = d[i + 3]!;
              dy = d[i + 4]!;
              dz = d[i + 5]!;
              d[i] = s * (mobile[stage] ? go[0]! * DX + go[1]! * DY + go[2]! * DZ : DX);
              d[i + 1] = s * (mobile[stage] ? go[3]! * DX + go[4]! * DY + go[5]! * DZ : DY);
              d[i + 2] = s * (mobile[stage] ? go[6]! * DX + go[7]! * DY + go[8]! * DZ : DZ);
              x = v[i + 3]!;
              y = v[i + 4]!;
              z = v[i + 5]!;
              v[i] = 1 - s + s * A;
              v[i + 1] = 1 - s + s * B;
              v[i + 2] = 1 - s + s * C;
              if (l > 0) {
                const laid = [Math.exp(l * e0), Math.exp(l * e1), Math.exp(l * e2)] as const;
                d[i] = laid[0] * (d[i]! + v[i]! * l * d0);
                d[i + 1] = laid[1] * (d[i + 1]! + v[i + 1]! * l * d1);
                d[i + 2] = laid[2] * (d[i + 2]! + v[i + 2]! * l * d2);
                v[i]! *= laid[0];
                v[i + 1]! *= laid[1];
                v[i + 2]! *= laid[2];
              }
            }
          }
          if (e === 0) break;
          fill(event);
          const dead = event.kind === "treatment" ? 1 : 0;
          for (let i = 0; i < N; i++) {
            v[i] = dead * chances[i]! + (1 - chances[i]!) * v[i]!;
            d[i]! *= 1 - chances[i]!;
          }
        }
        let short = 0;
        let ones = 0;
        let many = 0;
        let some = 0;
        for (let i = 0; i < N; i++) {
          short += together[i]! * (1 - v[i]!);
          ones += seenShares[i]! * v[i]!;
          many += together[i]! * d[i]!;
          some += seenShares[i]! * d[i]!;
        }
        expected = many / (1 + short) + (c > 0 ? (c * some) / ones : 0);
        return (c > 0 ? c * Math.log(ones) : 0) - Math.log1p(short);
      }) as [number, number];
      left.push(expected);
      log += logs[1];
      logWeights.push(log);
      clear.push(Math.exp(logs[0] - logs[1]));
    }
  }
  const greatest = Math.max(...logWeights);
  const weights = logWeights.map((l) => Math.exp(l - greatest));
  const all = weights.reduce((a, b) => a + b, 0);
  const mean = (xs: readonly number[]) => xs.reduce((a, x, k) => a + (x * weights[k]!) / all, 0);
  return [mean(clear), mean(left)];
}
