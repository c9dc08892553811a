// Loaded before everything else, it has a process, or a page, live at another time: by so many ms beside the true one.
const ms = Number(globalThis.process?.env.WARY_TEST_CLOCK_MS ?? globalThis.waryTestClockMs);
const True = Date;
globalThis.Date = class extends True {
  // Who puts another class in the place of this one copies what is its own only.
  static parse = True.parse;
  static UTC = True.UTC;
  static now() {
    return True.now() + ms;
  }
  /** @param {any[]} told */
  constructor(...told) {
    // @ts-expect-error A date is made of whatever is given; of nothing, it is now.
    super(...(told.length === 0 ? [True.now() + ms] : told));
  }
};
