// A line that is cut: connections end after any number of bytes, in the request and in the answer. What was sent again is there once.
import net from "node:net";
import { once } from "node:events";
import { isKept, press, type Sent } from "./sent";
import { isAsRebuilt, sendOn, verdict, withTarget } from "./target";

const PRESSES = 600;
const SENDERS = 6;
/** Requests and answers are about so long, bytes. */
const LONGEST = 1500;

await withTarget("wary_faults_cut", async (target) => {
  const { base, sendTo } = target;
  let cuts = 0;
  const line = net.createServer((from) => {
    const to = net.connect(Number(new URL(base).port), "127.0.0.1");
    let left = Math.floor(Math.random() * LONGEST * 3);
    const both = [from, to];
    const end = () => both.forEach((socket) => socket.destroy());
    for (const [one, other] of [both, both.toReversed()] as [net.Socket, net.Socket][]) {
      one.on("error", end).on("close", end);
      one.on("data", (bytes) => {
        if ((left -= bytes.length) > 0) return void other.write(bytes);
        cuts++;
        other.write(bytes.subarray(0, Math.max(0, bytes.length + left)), end);
      });
    }
  });
  line.listen(0, "127.0.0.1");
  await once(line, "listening");
  const through = { send: sendTo(`http://127.0.0.1:${(line.address() as net.AddressInfo).port}`) };
  const acknowledged: Sent[] = [];
  let n = 0;
  const sender = async () => {
    while (n < PRESSES)
      for (const command of press(target, n++))
        if (await sendOn(through, command, () => true)) acknowledged.push(command);
  };
  await Promise.all(Array.from({ length: SENDERS }, sender));
  line.close();
  await isKept(target, `a line cut ${cuts} times`, acknowledged, PRESSES);
  verdict("what is derived is what deriving anew gives", await isAsRebuilt(target));
});
