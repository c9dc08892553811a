import { lookup as dnsLookup } from "node:dns";
import { get as httpGet, type RequestOptions } from "node:http";
import { get as httpsGet } from "node:https";
import { BlockList, isIP } from "node:net";
import { sensorAnswer, type SensorAnswer } from "@/core/climate/sensors";

/** Why a device could not be heard. */
export type SensorProblem = "not_near" | "no_answer" | "not_understood";

export class SensorFailed extends Error {
  constructor(readonly code: SensorProblem) {
    super(code);
  }
}

const MOST_BYTES = 2_000_000;
const PATIENCE_MS = 5000;

/** Devices stand in the house: this machine, and the addresses of home networks. Nothing else is ever asked. */
const near = new BlockList();
near.addSubnet("127.0.0.0", 8);
near.addSubnet("10.0.0.0", 8);
near.addSubnet("172.16.0.0", 12);
near.addSubnet("192.168.0.0", 16);
near.addAddress("::1", "ipv6");
near.addSubnet("fc00::", 7, "ipv6");

const isNear = (address: string) => near.check(address, isIP(address) === 6 ? "ipv6" : "ipv4");
const hostOf = (url: URL) => url.hostname.replace(/^\[|\]$/g, "");

/** Whether an address may be asked at all: http or https, and no address beyond the house. Names are looked up when they are asked. */
export function mayAsk(address: string): boolean {
  const url = URL.parse(address);
  if (!url || !["http:", "https:"].includes(url.protocol) || url.username + url.password !== "") return false;
  const host = hostOf(url);
  return isIP(host) === 0 || isNear(host);
}

/** Asks a device what it has measured since a moment. Throws {@link SensorFailed}. */
export async function askSensor(address: string, since: Date): Promise<SensorAnswer> {
  if (!mayAsk(address)) throw new SensorFailed("not_near");
  const url = new URL(address);
  url.searchParams.set("since", since.toISOString());
  const body = await bodyOf(url);
  let value: unknown = null;
  try {
    value = JSON.parse(body);
  } catch {
    // What is no JSON is not understood: the schema says so.
  }
  const read = sensorAnswer.safeParse(value);
  if (!read.success) throw new SensorFailed("not_understood");
  return read.data;
}

/** A name is looked up once, and only what it was found to be is asked. */
const lookup: RequestOptions["lookup"] = (host, options, callback) =>
  dnsLookup(host, { ...options, all: true }, (error, found) => {
    const first = found?.find(({ address }) => isNear(address));
    if (error || !first) return callback(error ?? new Error("not near"), "", 4);
    // Some ask for all addresses, some for one.
    if (options.all) (callback as unknown as (e: null, all: object[]) => void)(null, [first]);
    else callback(null, first.address, first.family);
  });

function bodyOf(url: URL): Promise<string> {
  return new Promise((resolve, reject) => {
    const get = url.protocol === "https:" ? httpsGet : httpGet;
    const failed = () => reject(new SensorFailed("no_answer"));
    const request = get(url, { lookup, timeout: PATIENCE_MS, headers: { accept: "application/json" } }, (response) => {
      if (response.statusCode !== 200) {
        response.resume();
        return failed();
      }
      const chunks: Buffer[] = [];
      let bytes = 0;
      response.on("data", (chunk: Buffer) => {
        bytes += chunk.length;
        if (bytes > MOST_BYTES) request.destroy(new Error("too much"));
        else chunks.push(chunk);
      });
      response.once("end", () => resolve(Buffer.concat(chunks).toString("utf8")));
      response.once("error", failed);
    });
    // However slowly it drips, it is not waited for much longer.
    const patience = setTimeout(() => request.destroy(new Error("too slow")), 2 * PATIENCE_MS);
    request.once("close", () => clearTimeout(patience));
    request.once("timeout", () => request.destroy(new Error("no answer")));
    request.once("error", failed);
  });
}
