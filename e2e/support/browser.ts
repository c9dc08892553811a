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

/** A headless Chromium: a fresh one, or one that knows what is in `kept`; that folder stays when it is closed. */
export async function openBrowser(size: Size = laptop, kept?: string): Promise<Browser> {
  const profile = kept ?? newProfile();
  const options = new Options();
  options.addArguments(...FLAGS, `--user-data-dir=${profile}`);
  options.setBinaryPath("/usr/bin/chromium");
  const driver = await new Builder()
    .forBrowser("chrome")
    .setChromeOptions(options)
    .setChromeService(new ServiceBuilder("/usr/bin/chromedriver"))
    .build();
  // The window's size includes its frame; the page's own size is set here.
  const resize = ({ width, height }: Size) =>
    (driver as Driver).sendDevToolsCommand("Emulation.setDeviceMetricsOverride", {
      width,
      height,
      deviceScaleFactor: 1,
      mobile: width < 600,
    });
  await resize(size);
  return {
    driver,
    resize,
    close: async () => {
      await driver.quit();
      if (!kept) rmSync(profile, { recursive: true, force: true });
    },
  };
}
