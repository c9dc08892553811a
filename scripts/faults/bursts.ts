// Twenty at once: the same command, and different ones on the same plants.
import { aLook, isAsRebuilt, verdict, withTarget } from "./target";

const FOLD = 20;
const ROUNDS = 10;

await withTarget("wary_faults_bursts", async (target) => {
  const { plantIds, send, query } = target;
  const same = aLook(plantIds[0]!, 0);
  const answers = await Promise.all(Array.from({ length: FOLD }, () => send(same)));
  const [count] = await query<{ n: number }>("select count(*)::int as n from looks where id = $1", [same.input.id]);
  verdict(`one look sent ${FOLD} times at once is there once`, answers.every((one) => one?.ok) && count!.n === 1);

  const different = Array.from({ length: FOLD * ROUNDS }, (_, i) => aLook(plantIds[i % 5]!, i));
  const done = [];
  for (let i = 0; i < different.length; i += FOLD)
    done.push(...(await Promise.all(different.slice(i, i + FOLD).map(send))));
  const ids = different.map(({ input }) => input.id);
  const [there] = await query<{ n: number }>("select count(*)::int as n from looks where id = any ($1)", [ids]);
  const acknowledged = done.filter((one) => one?.ok).length;
  verdict(
    `${different.length} looks at five plants, ${FOLD} at once: ${acknowledged} acknowledged, ${there!.n} there`,
    acknowledged === different.length && there!.n === different.length,
  );
  verdict("what is derived is what deriving anew gives", await isAsRebuilt(target));
});
