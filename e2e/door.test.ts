import getPort from "get-port";
import { By } from "selenium-webdriver";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { idOf } from "../demo/loadDemo";
import { startServer } from "../scripts/lib/startServer";
import { brokenRules } from "./support/axe";
import { openApplication, type Application } from "./support/application";
import { openBrowser, phone, type Browser } from "./support/browser";
import { Page } from "./support/page";

const PASSPHRASE = "lamp moss kettle orchid";
/** Stands for the network: another address of this machine than the one it reaches itself by. */
const NETWORK = "127.0.0.2";

/** A keeper makes herself the owner, lets a phone in, then a sitter for the holidays; and shows them out again. */
describe("the door", () => {
  let app: Application;
  let network: string;
  let stopNetwork: () => Promise<void>;
  let inHand: Browser;
  let sitters: Browser;
  let onPhone: Page;
  let laptop: Page;
  let codes: string[];

  beforeAll(async () => {
    app = await openApplication();
    laptop = app.page;
    inHand = await openBrowser(phone);
    sitters = await openBrowser(phone);
  });
  afterAll(async () => {
    await inHand.close();
    await sitters.close();
    await stopNetwork?.();
    await app.close();
  });

  const linkShown = async (press: string) => {
    await laptop.press(press);
    await laptop.sees("It works once, within five minutes.");
    return (await laptop.driver.findElement(By.css("[role=status] a")).getAttribute("href"))!;
  };
  const secretNow = async () =>
    (await laptop.driver.manage().getCookies()).find(({ name }) => name.endsWith("wary-session"))!;

  it("nobody is asked while nobody has an account, and nobody is served from outside", async () => {
    await laptop.open("/settings");
    await laptop.sees("nobody has to sign in");
    const port = await getPort({ host: NETWORK });
    network = `http://${NETWORK}:${port}`;
    stopNetwork = await startServer(port, app.appUrl, { HOST: NETWORK });
    for (const path of ["/today", "/door/owner"]) expect((await fetch(network + path)).status).toBe(403);
  });

  it("an owner is made; a short or common passphrase is refused; the codes are shown once", async () => {
    await laptop.press("Set up an owner");
    await laptop.fill("Your name", "Ada");
    await laptop.fill("A passphrase", "short");
    await laptop.press("Make me the owner");
    await laptop.sees("A passphrase needs 12 characters or more.");
    await laptop.fill("A passphrase", "password1234");
    await laptop.press("Make me the owner");
    await laptop.sees("This one is too easy to guess.");
    await laptop.fill("A passphrase", PASSPHRASE);
    await laptop.fill("Name of this device", "Study laptop");
    await laptop.press("Make me the owner");
    await laptop.sees("They are shown only now.");
    const shown = await laptop.driver.findElements(By.css("main ul.font-monospace li"));
    codes = await Promise.all(shown.map((one) => one.getText()));
    expect(codes).toHaveLength(8);
    await laptop.press("I have saved them");
    await laptop.arrives(/^\/settings\/people$/);
    await laptop.sees("Study laptop, this one");
    const { httpOnly, sameSite } = await secretNow();
    expect({ httpOnly, sameSite }).toEqual({ httpOnly: true, sameSite: "Lax" });
  });

  it("from then on everybody is asked, and sent on to where they wanted to go", async () => {
    laptop = new Page(app.browser.driver, network);
    await laptop.open("/benches");
    await laptop.arrives(/^\/door$/);
    await laptop.fill("Your name", "ada");
    await laptop.fill("Your passphrase", "not the right one");
    await laptop.press("Sign in");
    await laptop.sees("Name and passphrase do not match.");
    await laptop.fill("Your name", "Nobody at all");
    await laptop.press("Sign in");
    await laptop.sees("Name and passphrase do not match.");
    await laptop.fill("Your name", "ada");
    await laptop.fill("Your passphrase", PASSPHRASE);
    await laptop.press("Sign in");
    await laptop.arrives(/^\/benches$/);
  });

  it("a phone is let in by a link, which works once", async () => {
    await laptop.open("/settings/people");
    const link = await linkShown("Add my phone");
    onPhone = new Page(inHand.driver, network);
    await inHand.driver.get(link);
    await onPhone.fill("Name of this device", "Kitchen phone");
    await onPhone.press("Sign this device in");
    await onPhone.arrives(/^\/today$/);
    await sitters.driver.get(link);
    await new Page(sitters.driver, network).sees("This link has expired");
  });

  it("a sitter sees what is due and the walks, and nothing else", async () => {
    await laptop.open("/settings/people");
    await laptop.fill("Their name", "Ida");
    await laptop.select("What they may do", "Sitter");
    await laptop.press("Add");
    await laptop.sees("Add a device for Ida");
    const link = await linkShown("Add a device for Ida");
    expect(await brokenRules(laptop.driver)).toEqual([]);
    const sitter = new Page(sitters.driver, network);
    await sitters.driver.get(link);
    await sitter.fill("Name of this device", "Ida’s phone");
    await sitter.press("Sign this device in");
    await sitter.arrives(/^\/today$/);
    const bar = await sitters.driver.findElement(By.css("nav.rail")).getText();
    expect(bar.split("\n")).toEqual(["Today", "Walk", "More"]);
    await sitter.pressAt("//nav//button[normalize-space()='More']");
    const sheet = await sitter.found(By.css(".more.show"), "the sheet with the rest never came");
    expect(await sitter.eventually(async () => (await sheet.getText()).includes("Almanac"), "no almanac")).toBe(true);
    expect(await sheet.getText()).not.toMatch(/Cases|Benches|Ledger|Year/);
    const [plant, found, place] = [idOf("plant", "L03"), idOf("case", "R01", "mealybug"), idOf("place", "window")];
    const cookie = (await sitters.driver.manage().getCookies()).map(({ name, value }) => `${name}=${value}`).join("; ");
    const closed = [
      ...["/benches", "/cases", "/ledger", "/mixing", "/arrivals", "/walk/tonight"],
      ...["/settings/doings", "/plants/new", "/plants/several", "/benches/places/new", "/almanac/pests/thrips"],
      ...["", "/act", "/apart", "/carried", "/edit", "/look", "/move", "/name", "/reaction"].map(
        (page) => `/plants/${plant}${page}`,
      ),
      ...["", "/around", "/around/schools", "/close", "/file", "/plan", "/treat"].map(
        (page) => `/cases/${found}${page}`,
      ),
      ...[`/benches/places/${place}`, `/photos/${place}`],
    ];
    const open: string[] = [];
    for (const path of closed) {
      const answer = await fetch(network + path, { headers: { cookie, accept: "text/html" }, redirect: "manual" });
      const turned = answer.headers.get("location") ?? (await answer.text());
      if (!turned.includes("/closed")) open.push(`${path} ${answer.status}`);
    }
    expect(open).toEqual([]);
    await sitter.open("/benches");
    await sitter.arrives(/^\/closed$/);
    // What is due is theirs to do.
    await sitter.open("/today");
    await sitter.press("Start");
    await sitter.arrives(/^\/session\/due\//);
    expect(await sitter.text()).toMatch(/mL/);
    await sitter.open("/walk");
    await sitter.sees("Walk");
  });

  it("a device that is ended is out at its next step", async () => {
    await laptop.open("/settings/people");
    await laptop.pressNamed("Sign out Kitchen phone");
    await laptop.eventually(
      async () => !(await laptop.text()).includes("Kitchen phone"),
      "the phone stays in the list",
    );
    await onPhone.open("/today");
    await onPhone.arrives(/^\/door$/);
  });

  it("a code lets in who forgot, once, and ends the other devices", async () => {
    await onPhone.open("/door/recover");
    await onPhone.fill("Your name", "Ada");
    await onPhone.fill("A recovery code", codes[0]!.toLowerCase());
    await onPhone.fill("A new passphrase", "kettle lamp orchid moss");
    await onPhone.press("Sign in");
    await onPhone.arrives(/^\/today$/);
    await laptop.open("/today");
    await laptop.arrives(/^\/door$/);
    await laptop.open("/door/recover");
    await laptop.fill("Your name", "Ada");
    await laptop.fill("A recovery code", codes[0]!);
    await laptop.fill("A new passphrase", "kettle lamp orchid moss");
    await laptop.press("Sign in");
    await laptop.sees("the code has already been used");
  });

  it("who did what stands in a list", async () => {
    await onPhone.open("/settings/doings");
    await onPhone.sees("not let in: Nobody at all");
    await onPhone.sees("came in by a code");
    await onPhone.sees("person added");
  });
});
