// A server whose clock goes back, and forward again, while commands are sent by devices that know the time.
import { isKept, press, type Sent } from "./sent";
import { isAsRebuilt, pagesAnswer, sendOn, verdict, withTarget } from "./target";

const DAY_MS = 86_400_000;
const OFF_MS = [0, -3 * DAY_MS, 2 * 3_600_000, -3_600_000, 0];
const PRESSES = 32;

await withTarget("wary_faults_clock", async (target) => {
  const { setClock } = target;
  const acknowledged: Sent[] = [];
  let n = 0;
  for (const ms of OFF_MS) {
    await setClock(ms);
    for (let i = 0; i < PRESSES; i++)
      for (const command of press(target, n++))
        if (await sendOn(target, command, () => true, 5000)) acknowledged.push(command);
    const good = await pagesAnswer(target);
    verdict(`a clock ${ms / 3_600_000} h beside the true one: the pages answer`, good);
  }
  await isKept(target, `${OFF_MS.length} clocks`, acknowledged, OFF_MS.length * PRESSES, false);
  verdict("what is derived is what deriving anew gives", await isAsRebuilt(target));
});
