// Where the application listens, under which names it may be asked, and what is believed of a request.
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { X509Certificate } from "node:crypto";
import http from "node:http";
import https from "node:https";
import net from "node:net";
import os from "node:os";
import path from "node:path";
import { root } from "./packages.mjs";
import { Stop } from "./process.mjs";

const LOOPBACK = ["127.0.0.1", "localhost", "::1"];

/** @typedef {{ host: string, names: string[], trust: string[], tls: { cert: Buffer | string, key: Buffer | string, own: boolean } | null }} Listening */

/** @param {string | undefined} list */
const listed = (list) => (list ?? "").split(/[\s,]+/).filter((one) => one !== "");

/** An address as it stands in a URL. @param {string} address */
const inUrl = (address) => (net.isIPv6(address) ? `[${address}]` : address);

/** Whether only this machine itself is served. @param {string} host */
export const isLoopback = (host) => LOOPBACK.includes(host);

/** What the environment asks for: HOST, NAMES, TRUST_PROXY, and TLS_CERT with TLS_KEY, or TLS=own.
 * @param {NodeJS.ProcessEnv} env @param {string} [folder] where a certificate of the application's own is kept
 * @returns {Promise<Listening>} */
export async function listeningFrom(env, folder = path.join(root, ".data", "tls")) {
  const host = env["HOST"] || "127.0.0.1";
  const names = [...(isLoopback(host) ? [] : namesOf(host)), ...listed(env["NAMES"])].map(inUrl);
  const trust = listed(env["TRUST_PROXY"]);
  for (const address of trust)
    if (!net.isIP(address)) throw new Stop(`TRUST_PROXY lists addresses, and ${address} is none.`);
  return { host, names, trust, tls: await tlsFrom(env, names, folder) };
}

/** Under which names a machine is asked that listens there. @param {string} host */
function namesOf(host) {
  if (host !== "0.0.0.0" && host !== "::") return [host];
  const addresses = Object.values(os.networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ internal, address }) => !internal && !address.startsWith("fe80"))
    .map(({ address }) => address);
  const own = os.hostname().toLowerCase();
  return [...addresses, own, ...(own.includes(".") ? [] : [`${own}.local`])];
}

/** @param {NodeJS.ProcessEnv} env @param {string[]} names @param {string} folder */
async function tlsFrom(env, names, folder) {
  const { TLS_CERT: cert, TLS_KEY: key, TLS: own } = env;
  if (cert || key) {
    if (!cert || !key) throw new Stop("TLS_CERT and TLS_KEY go together: the files of a certificate and of its key.");
    for (const file of [cert, key]) if (!existsSync(file)) throw new Stop(`There is no file ${file}.`);
    return { cert: readFileSync(cert), key: readFileSync(key), own: false };
  }
  if (!own) return null;
  if (own !== "own")
    throw new Stop("TLS is “own” or not set: with it the application makes a certificate for the home network.");
  return ownCertificate(names, folder);
}

/** A certificate lasts so long, and is made anew before it ends, days. Phones take none that lasts longer than 825. */
const LASTS_DAYS = 397;
const ANEW_DAYS = 30;

/** A certificate of the application's own, made again when it ends soon or when the machine is called otherwise.
 * @param {string[]} names @param {string} folder */
async function ownCertificate(names, folder) {
  const [certFile, keyFile] = [path.join(folder, "certificate.pem"), path.join(folder, "key.pem")];
  const wanted = ["localhost", "127.0.0.1", ...names.map((name) => name.replace(/^\[|\]$/g, ""))];
  if (existsSync(certFile) && existsSync(keyFile)) {
    const cert = readFileSync(certFile, "utf8");
    const known = new X509Certificate(cert);
    const stands = wanted.every((name) => (net.isIP(name) ? known.checkIP(name) : known.checkHost(name)));
    if (stands && Date.parse(known.validTo) - Date.now() > ANEW_DAYS * 86_400_000)
      return { cert, key: readFileSync(keyFile, "utf8"), own: true };
  }
  const { generate } = await import("selfsigned");
  const altNames = wanted.map((name) =>
    net.isIP(name) ? { type: /** @type {const} */ (7), ip: name } : { type: /** @type {const} */ (2), value: name },
  );
  const notAfterDate = new Date(Date.now() + LASTS_DAYS * 86_400_000);
  const made = await generate([{ name: "commonName", value: "Wary Petal at home" }], {
    keyType: "ec",
    curve: "P-256",
    algorithm: "sha256",
    notAfterDate,
    extensions: [
      { name: "subjectAltName", altNames },
      { name: "keyUsage", digitalSignature: true },
      { name: "extKeyUsage", serverAuth: true },
    ],
  });
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  writeFileSync(keyFile, made.private, { mode: 0o600 });
  writeFileSync(certFile, made.cert);
  return { cert: made.cert, key: made.private, own: true };
}

/** The fingerprint by which a keeper knows the certificate again. @param {Listening} listening */
export function fingerprintOf({ tls }) {
  return tls && new X509Certificate(tls.cert).fingerprint256;
}

/** Whether an address is one of those listed, however it is written. @param {string[]} list @param {string} address */
const isAmong = (list, address) => list.includes(address.replace(/^::ffff:/, ""));

/** A server that says of each request what is known of it, whatever the request says itself; a proxy is believed only where it
 * is one of those trusted. @param {Listening} listening @param {http.RequestListener} handle @returns {http.Server} */
export function serverFor({ names, trust, tls }, handle) {
  /** @type {http.RequestListener} */
  const told = (request, response) => {
    const { headers, socket } = request;
    const peer = socket.remoteAddress ?? "unknown";
    const forwarded = {
      for: headers["x-forwarded-for"],
      proto: headers["x-forwarded-proto"],
      host: headers["x-forwarded-host"],
    };
    for (const name of Object.keys(headers)) if (/^(x-forwarded-|x-wary-|forwarded$)/.test(name)) delete headers[name];
    let address = peer;
    let secure = tls !== null;
    if (isAmong(trust, peer)) {
      // The last entry is the one that the proxy itself has written.
      const last = String(forwarded.for ?? "")
        .split(",")
        .at(-1)
        ?.trim();
      if (last && net.isIP(last)) address = last;
      secure =
        String(forwarded.proto ?? "")
          .split(",")
          .at(-1)
          ?.trim() === "https";
      if (typeof forwarded.host === "string" && forwarded.host !== "") headers.host = forwarded.host;
    }
    headers["x-wary-address"] = address.replace(/^::ffff:/, "");
    headers["x-wary-names"] = names.join(" ");
    if (secure) headers["x-wary-secure"] = tls?.own ? "own" : "1";
    handle(request, response);
  };
  return tls ? https.createServer({ ...tls, minVersion: "TLSv1.2" }, told) : http.createServer(told);
}
