// What must be installed before anything else: node packages from the lock file, Debian packages through apt.
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { must, run, say, Stop } from "./process.mjs";

export const root = path.resolve(import.meta.dirname, "../..");

/** A program that a node package brought. Called directly, so that a signal reaches it and not a wrapper.
 * @param {string} name */
export const bin = (name) => path.join(root, "node_modules/.bin", name);

const OLDEST_NODE = [20, 11];

export function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split(".").map(Number);
  if (major < OLDEST_NODE[0] || (major === OLDEST_NODE[0] && minor < OLDEST_NODE[1])) {
    throw new Stop(`Wary Petal needs Node.js ${OLDEST_NODE.join(".")} or newer; this is ${process.versions.node}.`);
  }
}

/** Installs node packages when the lock file has changed since they were installed completely. */
export async function ensureNodePackages() {
  const lock = readFileSync(path.join(root, "package-lock.json"));
  const wanted = createHash("sha256").update(lock).update(process.version).digest("hex");
  const stamp = path.join(root, "node_modules/.complete");
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === wanted) return;
  say("Installing node packages …");
  await must("The node packages could not be installed.", "npm", ["ci", "--include=dev", "--no-audit", "--no-fund"], {
    cwd: root,
  });
  writeFileSync(stamp, wanted);
}

/** Installs Debian packages; on other systems says which are missing.
 * @param {string[]} names @param {string} purpose */
export async function installDebian(names, purpose) {
  const missing = `${purpose} needs ${names.join(" and ")}, and no package could be installed here: install it by hand`;
  if (!existsSync("/usr/bin/apt-get")) throw new Stop(`${missing}.`);
  const asRoot = process.getuid?.() === 0 ? [] : ["sudo", "-n"];
  const apt = async (/** @type {string[]} */ ...args) => {
    const [command = "", ...rest] = [...asRoot, "env", "DEBIAN_FRONTEND=noninteractive", ...args];
    return run(command, rest).catch((error) => ({ code: 1, output: String(error) }));
  };
  say(`Installing ${names.join(", ")} …`);
  // An earlier installation may have been cut off half-way.
  await apt("dpkg", "--configure", "-a");
  const install = () => apt("apt-get", "install", "-y", "-qq", "--no-install-recommends", ...names);
  let done = await install();
  if (done.code !== 0) {
    await apt("apt-get", "update", "-qq");
    done = await install();
  }
  if (done.code !== 0) throw new Stop(`${missing} (apt-get said: ${done.output.trim().split("\n").at(-1)}).`);
}

/** The folder with PostgreSQL's programs, installing them if need be. */
export async function postgresPrograms() {
  const found = findPostgres();
  if (found) return found;
  // The package would otherwise set up and start a cluster of the system's own.
  const folder = "/etc/postgresql-common/createcluster.d";
  const rule = path.join(folder, "no-cluster-for-wary-petal.conf");
  const isRoot = process.getuid?.() === 0;
  if (isRoot) {
    mkdirSync(folder, { recursive: true });
    writeFileSync(rule, "create_main_cluster = false\n");
  }
  try {
    await installDebian(["postgresql"], "The database");
  } finally {
    if (isRoot) rmSync(rule, { force: true });
  }
  const now = findPostgres();
  if (!now)
    throw new Stop(
      "PostgreSQL was installed, but its programs are not where they should be; set DATABASE_URL to a server of your own.",
    );
  return now;
}

function findPostgres() {
  const versions = existsSync("/usr/lib/postgresql") ? readdirSync("/usr/lib/postgresql") : [];
  const folders = versions.sort((a, b) => Number(b) - Number(a)).map((version) => `/usr/lib/postgresql/${version}/bin`);
  const onPath = (process.env["PATH"] ?? "").split(path.delimiter);
  return [...folders, ...onPath].find((folder) => existsSync(path.join(folder, "initdb"))) ?? null;
}

/** Chromium and its driver, for the browser tests. */
export async function ensureBrowser() {
  if (existsSync("/usr/bin/chromium") && existsSync("/usr/bin/chromedriver")) return;
  await installDebian(["chromium", "chromium-driver"], "The browser tests");
}
