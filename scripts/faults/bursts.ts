// Twenty at once: the same command, and different ones on the same plants.
import { aLook, isKept, press } from "./sent";
import { isAsRebuilt, verdict, withTarget } from "./target";

const FOLD = 20;
const ROUNDS = 10;

await withTarget("wary_faults_bursts", async (target) => {
  const { plantIds, send, query } = target;
  const same = aLook(plantIds[0]!, 0);
  const answers = await Promise.all(Array.from({ length: FOLD }, () => send(same)));
  const [count] = await query<{ n: number }>("select count(*)::int as n from looks where id = $1", [same.input.id]);
  verdict(`one look sent ${FOLD} times at once is there once`, answers.every((one) => one?.ok) && count!.n === 1);

  const different = Array.from({ length: FOLD * ROUNDS }, (_, i) =>
    press({ ...target, plantIds: plantIds.slice(0, 5) }, i),
  );
  // What belongs to one press goes one after the other, as from one device; the presses of twenty come at once.
  const sendAll = async (all: (typeof different)[number]) => {
    for (const one of all) if (!(await send(one))?.ok) return false;
    return true;
  };
  const acknowledged = [];
  for (let i = 0; i < different.length; i += FOLD) {
    const some = different.slice(i, i + FOLD);
    const done = await Promise.all(some.map(sendAll));
    acknowledged.push(...some.filter((_, k) => done[k]).flat());
  }
  await isKept(target, `${FOLD} at once`, acknowledged, different.flat().length);
  verdict("what is derived is what deriving anew gives", await isAsRebuilt(target));
});
