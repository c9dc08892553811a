import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { Builder, type WebDriver } from "selenium-webdriver";
import { Options, ServiceBuilder, type Driver } from "selenium-webdriver/chrome";

export interface Size {
  readonly width: number;
  readonly height: number;
}

export const laptop: Size = { width: 1280, height: 800 };
export const phone: Size = { width: 390, height: 844 };

const FLAGS = [
  "--headless",
  // Nobody sees the browser's own bars, and nothing is left to a second process that would draw: a sixth less work a page.
  "--kiosk",
  "--in-process-gpu",
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
  "--disable-dev-shm-usage",
];

export interface Browser {
  readonly driver: WebDriver;
  readonly resize: (size: Size) => Promise<void>;
  readonly close: () => Promise<void>;
}

/** A folder in which a browser keeps what it knows, for one that is closed and opened again. */
export const newProfile = () => mkdtempSync(path.join(tmpdir(), "wary-browser-"));

const optionsFor = (profile: string): Options => {
  const options = new Options();
  options.addArguments(...FLAGS, `--user-data-dir=${profile}`);
  options.setBinaryPath("/usr/bin/chromium");
  return options;
};

/** A headless Chromium: a fresh one, or one that knows what is in `kept`; that folder stays when it is closed. */
export async function openBrowser(size: Size = laptop, kept?: string): Promise<Browser> {
  const profile = kept ?? newProfile();
  const driver = await new Builder()
    .forBrowser("chrome")
    .setChromeOptions(optionsFor(profile))
    .setChromeService(new ServiceBuilder("/usr/bin/chromedriver"))
    .build();
  const browser = browserOf(driver as Driver);
  await browser.resize(size);
  return {
    ...browser,
    close: async () => {
      await driver.quit();
      if (!kept) rmSync(profile, { recursive: true, force: true });
    },
  };
}

/** A cookie by which a browser of a slot knows that its story keeps pages. The application knows nothing of it. */
const KEEPS_PAGES = "keeps-pages";

/**
 * What keeps pages stands before each of them from the first on, and fetches some hundred in the background: stories that are about
 * something else would mostly wait for that. Theirs is a browser that cannot keep pages, as there are.
 */
const unlessKept = `if (!document.cookie.includes("${KEEPS_PAGES}")) delete Navigator.prototype.serviceWorker;`;

/** Has a browser keep pages from its next page on; until it forgets everything. */
export async function keepPages(driver: Driver, origin: string): Promise<void> {
  await driver.sendDevToolsCommand("Network.setCookie", { url: origin, name: KEEPS_PAGES, value: "1" });
}

/** A browser of its own at a driver that is there already. */
export async function newSession(driverUrl: string): Promise<Pick<Browser, "driver" | "close">> {
  const profile = newProfile();
  const driver = await new Builder()
    .forBrowser("chrome")
    .usingServer(driverUrl)
    .setChromeOptions(optionsFor(profile))
    .build();
  await (driver as Driver).sendDevToolsCommand("Page.addScriptToEvaluateOnNewDocument", {
    source: `try { ${unlessKept} } catch {}`,
  });
  return {
    driver,
    close: async () => {
      await driver.quit();
      rmSync(profile, { recursive: true, force: true });
    },
  };
}

/** A browser that is there already, and stays when it is closed here. */
export function browserOf(driver: Driver): Browser {
  // The window's size includes its frame; the page's own size is set here.
  const resize = ({ width, height }: Size) =>
    driver.sendDevToolsCommand("Emulation.setDeviceMetricsOverride", {
      width,
      height,
      deviceScaleFactor: 1,
      mobile: width < 600,
    });
  return { driver, resize, close: async () => {} };
}

/** Has a browser forget everything about an origin: a keeper who has never been there. One tab is left. */
export async function forgetAll(driver: Driver, origin: string): Promise<void> {
  const [first, ...others] = await driver.getAllWindowHandles();
  for (const one of others) {
    await driver.switchTo().window(one);
    await driver.close();
  }
  await driver.switchTo().window(first!);
  await driver.setNetworkConditions({ offline: false, latency: 0, download_throughput: -1, upload_throughput: -1 });
  await driver.sendDevToolsCommand("Emulation.setEmulatedMedia", { features: [] });
  await driver.get("about:blank");
  await driver.sendDevToolsCommand("Network.clearBrowserCookies", {});
  await driver.sendDevToolsCommand("Storage.clearDataForOrigin", { origin, storageTypes: "all" });
}
