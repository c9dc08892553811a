// Starting, watching and ending child processes, and ending this one in good order.
import { spawn } from "node:child_process";

/** A failure the keeper can do something about: printed as one sentence, without a stack. */
export class Stop extends Error {}

export const say = (/** @type {string} */ line) => console.log(line);

/** @type {Set<import("node:child_process").ChildProcess>} */
const children = new Set();
/** @type {(() => Promise<void>)[]} */
const closers = [];
let closing = false;

/** Has `close` run when this process ends, whatever the reason; the last one added runs first.
 * @param {() => Promise<void>} close */
export function atEnd(close) {
  closers.push(close);
}

/** Runs a command to its end. Its output is shown only when it fails, unless `show` is set.
 * @param {string} command @param {string[]} args
 * @param {{ show?: boolean, env?: NodeJS.ProcessEnv, cwd?: string }} [options]
 * @returns {Promise<{ code: number, output: string }>} */
export function run(command, args, { show = false, env = process.env, cwd } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      env,
      cwd,
      stdio: ["ignore", show ? "inherit" : "pipe", show ? "inherit" : "pipe"],
    });
    children.add(child);
    let output = "";
    child.stdout?.on("data", (chunk) => (output += chunk));
    child.stderr?.on("data", (chunk) => (output += chunk));
    child.on("error", (error) => {
      children.delete(child);
      reject(error);
    });
    // `exit`, not `close`: a daemon the command left behind keeps the pipes open.
    child.on("exit", (code) => {
      children.delete(child);
      setImmediate(() => resolve({ code: code ?? 1, output }));
    });
  });
}

/** Runs a command and throws a Stop with `sentence` and the end of its output when it fails.
 * @param {string} sentence @param {string} command @param {string[]} args @param {Parameters<typeof run>[2]} [options] */
export async function must(sentence, command, args, options) {
  const { code, output } = await run(command, args, options).catch((error) => ({ code: 1, output: String(error) }));
  if (closing) await new Promise(() => {});
  if (code !== 0)
    throw new Stop([sentence, output.trim().split("\n").slice(-40).join("\n")].filter(Boolean).join("\n"));
  return output;
}

const PATIENCE_MS = 10_000;
/** Nothing that is closed at the end may take longer than this; the database writes down what it has. */
const CLOSING_MS = 30_000;

/** Asks a child to end, and waits until it has; one that will not is killed.
 * @param {import("node:child_process").ChildProcess} child @returns {Promise<void>} */
export function endOf(child) {
  return new Promise((resolve) => {
    if (child.exitCode !== null || child.signalCode !== null) return resolve();
    const force = setTimeout(() => child.kill("SIGKILL"), PATIENCE_MS);
    child.once("exit", () => {
      clearTimeout(force);
      resolve();
    });
    child.kill("SIGTERM");
  });
}

/** Ends children and everything registered with atEnd, then exits.
 * @param {number} code */
export async function finish(code) {
  if (closing) return;
  closing = true;
  // A package manager cut off in the middle is left to put its tools down before the next start finds them.
  await Promise.all([...children].map(endOf));
  for (const close of closers.reverse()) {
    const tooLong = new Promise((resolve) => setTimeout(resolve, CLOSING_MS).unref());
    await Promise.race([close(), tooLong]).catch((error) => console.error(String(error)));
  }
  process.exit(code);
}

/** Runs the script; Ctrl-C, kill, and the death of the parent all end it in good order.
 * @param {() => Promise<void>} script */
export function main(script) {
  for (const signal of /** @type {const} */ (["SIGINT", "SIGTERM", "SIGHUP"]))
    process.on(signal, () => finish(signal === "SIGINT" ? 130 : 143));
  const parent = process.ppid;
  setInterval(() => process.ppid !== parent && finish(143), 1000).unref();
  script().catch((error) => {
    console.error(error instanceof Stop ? error.message : (ofTheDisk(error) ?? error));
    return finish(1);
  });
}

/** What is wrong with the disk, as a sentence; null for anything else.
 * @param {NodeJS.ErrnoException} error */
function ofTheDisk({ code, path: file }) {
  if (code === "EACCES" || code === "EPERM" || code === "EROFS")
    return `${file} cannot be written to: give this user the right to, or keep the project elsewhere.`;
  return code === "ENOSPC" ? `There is no room left on the disk of ${file}.` : null;
}
