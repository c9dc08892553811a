import { mkdtempSync, readFileSync, rmSync, statSync } from "node:fs";
import { X509Certificate } from "node:crypto";
import http from "node:http";
import https from "node:https";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import path from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import { fingerprintOf, listeningFrom, serverFor } from "./listen.mjs";

const folder = mkdtempSync(path.join(tmpdir(), "wary-listen-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const env = (over: Record<string, string>) => ({ NODE_ENV: "test", ...over }) as NodeJS.ProcessEnv;

/** The headers that the application is given of a request that was sent with these. */
async function told(settings: Record<string, string>, headers: Record<string, string>) {
  const listening = await listeningFrom(env(settings), folder);
  const server = serverFor(listening, (request, response) => response.end(JSON.stringify(request.headers)));
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  const { port } = server.address() as AddressInfo;
  const client = listening.tls ? https : http;
  const body = await new Promise<string>((resolve, reject) => {
    client
      .get({ host: "127.0.0.1", port, headers, ...(listening.tls && { ca: listening.tls.cert }) }, (response) => {
        let all = "";
        response.on("data", (chunk: Buffer) => (all += chunk.toString()));
        response.on("end", () => resolve(all));
      })
      .on("error", reject);
  });
  server.close();
  return JSON.parse(body) as Record<string, string | undefined>;
}

const lies = {
  "x-forwarded-for": "10.0.0.1, 10.0.0.9",
  "x-forwarded-proto": "https",
  "x-forwarded-host": "plants.example",
  "x-wary-address": "1.2.3.4",
  "x-wary-names": "evil.example",
  "x-wary-secure": "1",
};

describe("what is known of a request", () => {
  it("nobody is believed who says something of themselves", async () => {
    const headers = await told({}, lies);
    expect(headers).toMatchObject({ "x-wary-address": "127.0.0.1", "x-wary-names": "" });
    expect(headers["x-wary-secure"]).toBeUndefined();
    expect(headers["x-forwarded-for"]).toBeUndefined();
    expect(headers["host"]).toMatch(/^127\.0\.0\.1/);
  });

  it("a proxy that is trusted is believed: the last address it wrote, how it was asked and by which name", async () => {
    const headers = await told({ TRUST_PROXY: "127.0.0.1", NAMES: "plants.example" }, lies);
    expect(headers).toMatchObject({
      "x-wary-address": "10.0.0.9",
      "x-wary-secure": "1",
      "x-wary-names": "plants.example",
      host: "plants.example",
    });
    expect((await told({ TRUST_PROXY: "127.0.0.9" }, lies))["x-wary-address"]).toBe("127.0.0.1");
  });

  it.each([
    [{ TRUST_PROXY: "everybody" }, "everybody is none"],
    [{ TLS_CERT: "only-one.pem" }, "go together"],
    [{ TLS_CERT: "/not/there.pem", TLS_KEY: "/not/there.key" }, "There is no file /not/there.pem"],
    [{ TLS: "yes" }, "TLS is “own” or not set"],
  ])("%j is refused in words", async (settings, words) => {
    await expect(listeningFrom(env(settings), folder)).rejects.toThrow(words);
  });

  it("a certificate of its own is for the names it has, kept, and made anew for others; the key is nobody else's", async () => {
    const first = await listeningFrom(env({ TLS: "own", HOST: "127.0.0.2" }), folder);
    const certificate = new X509Certificate(first.tls!.cert);
    expect(certificate.checkIP("127.0.0.2")).toBe("127.0.0.2");
    expect(certificate.checkHost("localhost")).toBe("localhost");
    // What phones of the two large makers take: a server's certificate lasts 825 days at most, from memory.
    const days = (Date.parse(certificate.validTo) - Date.parse(certificate.validFrom)) / 86_400_000;
    expect(days).toBeLessThanOrEqual(825);
    expect(certificate.keyUsage).toEqual(["1.3.6.1.5.5.7.3.1"]);
    const again = await listeningFrom(env({ TLS: "own", HOST: "127.0.0.2" }), folder);
    expect(fingerprintOf(again)).toBe(fingerprintOf(first));
    const other = await listeningFrom(env({ TLS: "own", HOST: "127.0.0.3" }), folder);
    expect(fingerprintOf(other)).not.toBe(fingerprintOf(first));
    const keyFile = path.join(folder, "key.pem");
    expect(statSync(keyFile).mode & 0o077).toBe(0);
    expect(readFileSync(keyFile, "utf8")).toContain("PRIVATE KEY");
    const headers = await told({ TLS: "own", HOST: "127.0.0.3" }, {});
    expect(headers).toMatchObject({ "x-wary-secure": "own", "x-wary-names": "127.0.0.3" });
  });
});
