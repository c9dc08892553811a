import { once } from "node:events";
import { createServer, type AddressInfo } from "node:net";
import { Sequelize } from "sequelize";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { driver } from "./driver";

/** A message of the protocol: its kind, its length, what it holds (PostgreSQL 15, Frontend/Backend Protocol, Message Formats). */
function message(kind: string, body: Buffer): Buffer {
  const length = Buffer.alloc(4);
  length.writeInt32BE(body.length + 4);
  return Buffer.concat([Buffer.from(kind), length, body]);
}
const welcome = message("R", Buffer.alloc(4));
const ready = message("Z", Buffer.from("I"));
const ended = message(
  "E",
  Buffer.from("SFATAL\0VFATAL\0C57P01\0Mterminating connection due to administrator command\0\0"),
);

describe("a server that ends a connection in the tick in which it comes up", () => {
  // It lets everybody in, and out again, in one packet.
  const server = createServer((socket) => {
    socket.on("error", () => {});
    socket.once("data", () => socket.end(Buffer.concat([welcome, ready, ended])));
  });
  beforeAll(async () => {
    await once(server.listen(0, "127.0.0.1"), "listening");
  });
  afterAll(() => server.close());

  it("is told to whoever asks it something, and ends nothing else", async () => {
    const { port } = server.address() as AddressInfo;
    const url = `postgres://a:b@127.0.0.1:${port}/c`;
    const sequelize = new Sequelize(url, { dialect: "postgres", dialectModule: driver, logging: false });
    const outcome = await sequelize.query("select 1").then(
      () => "answered",
      () => "refused",
    );
    expect(outcome).toBe("refused");
    await sequelize.close();
  });
});
