import { spawn } from "node:child_process";
import { once } from "node:events";
import { createServer, type AddressInfo } from "node:net";
import path from "node:path";
import getPort from "get-port";
import { describe, expect, it } from "vitest";

const script = path.resolve(import.meta.dirname, "start.mjs");

async function start(env: Record<string, string>): Promise<{ code: number; said: string }> {
  const child = spawn(process.execPath, [script], { env: { ...process.env, ...env } });
  let said = "";
  child.stdout.on("data", (chunk) => (said += chunk));
  child.stderr.on("data", (chunk) => (said += chunk));
  const [code] = (await once(child, "close")) as [number];
  return { code, said };
}

/** What a keeper can mend is said in one sentence, with exit code 1 and no stack of calls. */
describe("npm start, where it cannot", () => {
  it("a port in use", async () => {
    const other = createServer().listen(0, "127.0.0.1");
    await once(other, "listening");
    const { port } = other.address() as AddressInfo;
    const { code, said } = await start({ PORT: String(port) });
    other.close();
    expect(code).toBe(1);
    expect(said.trim()).toBe(`Port ${port} is in use: stop what uses it, or choose another with PORT=4000 npm start.`);
  });

  it.each(["eighty", "0", "70000", "3180.5"])("a port that is none: %s", async (port) => {
    const { code, said } = await start({ PORT: port });
    expect(code).toBe(1);
    expect(said.trim()).toBe(`PORT must be a number from 1 to 65535, not ${port}.`);
  });

  it.each([
    ["an address that is none", "mysql://somewhere/else", "DATABASE_URL must be set to a postgres:// address"],
    ["a server that is not there", `postgres://x:y@127.0.0.1:1/z`, "ECONNREFUSED"],
  ])("%s", async (_why, url, named) => {
    const { code, said } = await start({ PORT: String(await getPort({ host: "127.0.0.1" })), DATABASE_URL: url });
    expect(code).toBe(1);
    expect(said).toContain("The database could not be brought up to date.");
    expect(said).toContain(named);
    expect(said).not.toMatch(/\n\s+at /);
  });
});
