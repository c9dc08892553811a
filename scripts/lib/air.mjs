// The simulated devices that tell the air of a place: a small service of its own beside the application.
import { fork } from "node:child_process";
import path from "node:path";
import { root } from "./packages.mjs";
import { endOf } from "./process.mjs";

/** Starts them; where their port is taken they say so and are not there. @returns {() => Promise<void>} ends them */
export function serveAir() {
  const air = fork(path.join(root, "demo/air/serve.ts"), { cwd: root, execArgv: ["--import", "tsx"] });
  air.on("error", (error) => console.error(`The simulated devices are not there: ${error.message}`));
  return async () => {
    if (air.exitCode === null) await endOf(air);
  };
}
