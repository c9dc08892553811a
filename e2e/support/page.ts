import { setTimeout } from "node:timers/promises";
import { By, error, type Locator, type WebDriver, type WebElement } from "selenium-webdriver";
import type { Driver } from "selenium-webdriver/chrome";

/**
 * What does not come by then does not come. Waiting long costs nothing where it comes; beside other work a small machine is slow, and
 * what a job was not asked for in time it does when it comes round, once a minute: twice that and more.
 */
const WAIT_MS = 150_000;
/** How soon it is asked again whether it has come: at first at once, then ever later, as whoever asks keeps the page from coming. */
const SOONEST_MS = 20;
const LATEST_MS = 250;

/** What a keeper does at the screen, in the words on it. */
export class Page {
  constructor(
    readonly driver: WebDriver,
    readonly base: string,
  ) {}

  async open(path: string): Promise<void> {
    this.presses++;
    await this.driver.get(this.base + path);
  }

  /** Waits until it is so, and gives what was waited for. `why` says what never came; what stood on the page instead is told with it. */
  async eventually<T>(what: () => T | Promise<T>, why: string | (() => string)): Promise<NonNullable<T>> {
    const until = performance.now() + WAIT_MS;
    let last: unknown;
    for (let ms = SOONEST_MS; performance.now() < until; ms = Math.min(ms * 1.5, LATEST_MS)) {
      try {
        const found = await what();
        if (found) return found;
      } catch (cause) {
        if (cause instanceof error.StaleElementReferenceError) throw cause;
        last = cause;
        break;
      }
      await setTimeout(ms);
    }
    const where = await this.driver.getCurrentUrl().catch(() => "a page that does not answer");
    throw new Error(`${typeof why === "string" ? why : why()} on ${where}:\n${await this.text()}`, { cause: last });
  }

  /** The first element found there, once there is one. */
  async found(there: Locator, why: string): Promise<WebElement> {
    return this.eventually(async () => (await this.driver.findElements(there))[0], why);
  }

  /** Loads the page anew. One that is just going somewhere by itself comes anew as well. */
  async reload(): Promise<void> {
    await this.driver
      .navigate()
      .refresh()
      .catch((cause: unknown) => {
        if (!/navigation|not attached/i.test(String(cause))) throw cause;
      });
  }

  /** Takes the browser's connection away, or gives it back. */
  async offline(offline: boolean): Promise<void> {
    const still = { latency: 0, download_throughput: -1, upload_throughput: -1 };
    await (this.driver as Driver).setNetworkConditions({ offline, ...still });
  }

  /** Makes every answer come so much later, ms; 0 as it is. */
  async slow(latency: number): Promise<void> {
    const open = { offline: false, download_throughput: -1, upload_throughput: -1 };
    await (this.driver as Driver).setNetworkConditions({ ...open, latency });
  }

  /** The element that carries this label. */
  async field(label: string): Promise<WebElement> {
    return this.#use<WebElement>(labelled(label), "return found");
  }

  /** Puts a value into a field as typing does; days and times too, whatever the browser's language. */
  async fill(label: string, value: string): Promise<void> {
    if (label !== "When") this.presses++;
    await this.#use(
      labelled(label),
      `const proto = found.tagName === "TEXTAREA" ? HTMLTextAreaElement.prototype : HTMLInputElement.prototype;
       Object.getOwnPropertyDescriptor(proto, "value").set.call(found, given);
       found.dispatchEvent(new Event("input", { bubbles: true }));
       found.dispatchEvent(new Event("change", { bubbles: true }));
       return true;`,
      value,
    );
  }

  async valueOf(label: string): Promise<string> {
    return this.#use<string>(labelled(label), "return found.value");
  }

  async select(label: string, option: string): Promise<void> {
    await this.#pickIn(labelled(label), option);
  }

  /** Chooses in a list that has no label beside it. */
  async choose(name: string, option: string): Promise<void> {
    await this.#pickIn(`//main//select[@aria-label=${quoted(name)}]`, option);
  }

  /** Presses what is told apart from others like it by an accessible name of its own. */
  async pressNamed(name: string): Promise<void> {
    this.presses++;
    await this.#clickOn(`//main//*[@aria-label=${quoted(name)}]`);
  }

  /** Presses what has no words of its own: an XPath says where it is. */
  async pressAt(path: string): Promise<void> {
    this.presses++;
    await this.#clickOn(path);
  }

  /** Presses what is folded together under words that hold these. */
  async unfold(words: string): Promise<void> {
    await this.#clickOn(`//main//details/summary[contains(normalize-space(), ${quoted(words)})]`);
  }

  /** Waits until the page says so and its script has begun, and brings the words before a keeper's eyes. */
  async reads(words: string): Promise<void> {
    const said = `//main//*[not(*)][contains(normalize-space(), ${quoted(words)})]`;
    await this.#onceStill(
      async () => this.show(await this.#use<WebElement>(said, "return found")),
      `“${words}” never stayed`,
    );
  }

  /** Brings an element to the middle of the screen, and lets the page notice: that is told to it with the next frame. */
  async show(target: WebElement): Promise<void> {
    await this.driver.executeAsyncScript(
      `const [target, done] = arguments;
       target.scrollIntoView({ block: "center", behavior: "instant" });
       requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done)));`,
      target,
    );
  }

  /** Presses the first element found there in the middle of the screen, where no bar covers it. */
  async #clickOn(path: string): Promise<void> {
    await this.#onceStill(async () => {
      const target = await this.#use<WebElement>(
        path,
        "found.scrollIntoView({ block: 'center', behavior: 'instant' }); return found;",
      );
      await target.click();
    }, `what is to be pressed was never still: ${path}`);
  }

  async #pickIn(path: string, option: string): Promise<void> {
    this.presses++;
    await this.#onceStill(async () => {
      const there = `./option[normalize-space()=${quoted(option)}]|./optgroup/option[normalize-space()=${quoted(option)}]`;
      await (await this.#use<WebElement>(path, `return first(${JSON.stringify(there)}, found)`)).click();
    }, `“${option}” could never be chosen`);
  }

  /**
   * Waits until the first element found there hears what is done to it, and gives what `script` makes of it (`found`; `given` is the
   * value handed over), asked of the browser as one thing. What is typed, chosen or pressed before the page's script has taken an
   * element over is put back, or heard by nobody; nor does one hear that still reads what an earlier page has left behind. It marks
   * elements while it goes through them, slice by slice, and hears once it has rested for the first time.
   */
  async #use<T>(path: string, script: string, given?: string): Promise<NonNullable<T>> {
    let last = "nothing was asked";
    const asked = `
      const [path, given, done] = arguments;
      const first = (path, where) => document.evaluate(path, where, null, XPathResult.FIRST_ORDERED_NODE_TYPE, null).singleNodeValue;
      const use = () => {
      let found = first(path, document);
      if (found?.tagName === "LABEL" && path.startsWith("//label")) found = document.getElementById(found.htmlFor);
      if (!found) return { problem: "nothing is there" };
      if (!Object.keys(found).some((key) => key.startsWith("__reactFiber"))) return { problem: "the page's script did not begin" };
      if (found.matches(":disabled")) return { problem: "it cannot be used" };
      const made = (() => { ${script} })();
      return made == null ? { problem: "there is no such choice" } : { made };
      };
      if (window.hasRested) return done(use());
      requestIdleCallback(() => {
        const answer = use();
        window.hasRested = !answer.problem;
        done(answer);
      }, { timeout: 3000 });`;
    const ask = async () => {
      const answer = this.driver.executeAsyncScript<{ made?: T; problem?: string }>(asked, path, given ?? null);
      const { made, problem } = await answer.catch((cause: unknown) => {
        if (!/unloaded|navigat|aborted/i.test(String(cause))) throw cause;
        return { problem: "the page was left", made: undefined };
      });
      last = problem ?? last;
      return problem === undefined ? { made: made! } : null;
    };
    return (await this.eventually(ask, () => `${last}: ${path}`)).made;
  }

  /** Does it anew as long as the page is drawn anew, or moves, between finding and pressing: nothing was pressed then. */
  async #onceStill(act: () => Promise<void>, why: string): Promise<void> {
    const { StaleElementReferenceError: Gone, ElementClickInterceptedError: Moved } = error;
    await this.eventually(async () => {
      try {
        await act();
        return true;
      } catch (cause) {
        if (cause instanceof Gone || cause instanceof Moved) return false;
        throw cause;
      }
    }, why);
  }

  /** Presses a button, a link or a choice with this name. */
  async press(name: string): Promise<void> {
    this.presses++;
    const text = quoted(name);
    // What is folded away or waits behind another screen is not there to be pressed.
    const shown = "not(ancestor::*[@hidden]) and (ancestor-or-self::summary or not(ancestor::details[not(@open)]))";
    await this.#clickOn(
      `(//main//*[self::button or self::a or self::label or self::summary or self::span][normalize-space()=${text}][${shown}])[1]`,
    );
  }

  /** What a keeper has pressed, filled in, chosen and opened so far: each is one. When it was is typed by tests of days long ago alone. */
  presses = 0;

  /** Waits until the page's script has begun: before, no key is heard. */
  async ready(path = "//main//a|//main//button"): Promise<void> {
    await this.#use(path, "return true");
  }

  /** Waits until the page says so. */
  async sees(text: string): Promise<void> {
    await this.eventually(async () => (await this.text()).includes(text), `never saw “${text}”`);
  }

  async text(): Promise<string> {
    // A page may be replaced while it is read.
    return this.driver
      .executeScript<string>("return (document.querySelector('main')?.innerText ?? '').replaceAll('\\u00a0', ' ')")
      .catch(() => "");
  }

  /** Waits until nothing on the page is being reckoned or drawn any more. */
  async settled(): Promise<void> {
    const waiting = /Working it out …|Drawing …/;
    const progress = () =>
      this.driver.executeScript<boolean>(
        "return !!document.querySelector('main [role=progressbar]:not(.walk-progress *)')",
      );
    await this.eventually(
      async () => !waiting.test(await this.text()) && !(await progress()),
      "the page never stopped reckoning",
    );
  }

  async heading(): Promise<string> {
    return this.driver.findElement(By.css("h1")).getText();
  }

  /** What is said to be wrong, in the order on the page. */
  async problems(): Promise<string[]> {
    return this.driver.executeScript<string[]>(
      `return [...document.querySelectorAll("main [role=alert]")].filter((alert) => alert.checkVisibility())
         .map((alert) => alert.innerText.trim()).filter(Boolean)`,
    );
  }

  /** Waits for an address that matches, and gives its path. */
  async arrives(pattern: RegExp): Promise<string> {
    return this.eventually(async () => {
      const { pathname } = new URL(await this.driver.getCurrentUrl());
      return pattern.test(pathname) ? pathname : null;
    }, `never arrived at ${pattern}`);
  }
}

/** Where a label stands that says this; the field it belongs to is meant. */
const labelled = (label: string) => `//label[normalize-space()=${quoted(label)}]`;

/** A string as XPath writes it, which knows no escapes. */
function quoted(text: string): string {
  return `concat('', ${text
    .split("'")
    .map((part) => `'${part}'`)
    .join(`, "'", `)})`;
}

/** Days before today as a form field wants them. */
export function daysAgo(days: number, now = new Date()): string {
  return new Date(now.getTime() - days * 86_400_000).toISOString().slice(0, 10);
}
