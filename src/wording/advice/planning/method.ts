import { cleanLooksNeeded } from "../clearance/clearance";
/** How it is reckoned, told part by part. */
export const methodParts: readonly { readonly title: string; readonly paragraphs: readonly string[] }[] = [
  {
    title: "From the literature",
    paragraphs: [
      "How long each stage of each pest takes at which temperature, and from which temperature it develops at all: laboratory figures, rounded to the slow side, because a house plant is a poor host. Days come from degree-days, following each day's curve between its coldest and warmest hour.",
      "The mathematics of populations that die out or carry on (branching processes), of mixing, and of how many leaves must be looked at.",
    ],
  },
  {
    title: "Our own estimates",
    paragraphs: [
      "How many of each stage a remedy kills where it reaches them, how much each technique misses, how many sit out of reach of brush and spray, how likely an animal is to be seen by eye, with a lamp or a loupe, and how pests pass from plant to plant. Nobody has measured these in living rooms.",
      "Everything is worked out for nine cases at once: your treatments miss the usual amount, much more or much less, and the pest breeds as usual, more slowly or faster. What you find afterwards shows which of them is true for you.",
    ],
  },
  {
    title: "From practice",
    paragraphs: [
      "What growers report a course usually takes: three swabs a week apart for a trace of mealybugs, soap every fourth day for light mites, spinosad weekly for thrips. Each report is a range; the estimates were adjusted until they met all of them, and the ranges were never changed.",
    ],
  },
  {
    title: "From your own record",
    paragraphs: [
      "How much your treatments miss: each closed case shows how well its looks fit a hand that misses the usual amount, much more or much less. From three cases on, new cases start from what yours have shown; our estimate counts as twelve cases beside them, or as four if you prefer your own (Settings). A case with another technique, or of another keeper, counts a quarter.",
      "How long your sessions take: minutes are measured from one press to the next, and ours fade as yours come in. What ended what, what each look saw and how often we were right are counted in the ledger, and change no number by themselves.",
    ],
  },
  {
    title: "A plan, and when it is over",
    paragraphs: [
      "A plan is a short course of treatments and the clean looks after it. You are told how likely those looks are to be clean, and how sure that makes it. The suggested plan takes the least work until the plant may be called clear: the work of one round, divided by the chance of clean looks, because otherwise it starts again.",
      `It may be called clear when it is as sure as you want (95 % unless you change that), after ${cleanLooksNeeded}, since the last treatment, and once a whole generation has passed since the last live animal.`,
    ],
  },
];

/** The model that was tried; another one is to be tried anew (`npm run bench`) before its numbers stand here. */
export const trialModel = 5;

/** So many keepers in each line of the trials. */
export const trialKeepers = 1000;

/** Of the looks after which the whole rule says clear, so many were right, per cent. Source: `npm run bench`, the calibration. */
export const trials: readonly { readonly world: string; readonly followed: number; readonly stopped: number }[] = [
  { world: "our estimates are right", followed: 98.7, stopped: 99.7 },
  { world: "remedies kill a fifth less", followed: 98.8, stopped: 97.4 },
  { world: "three in ten fewer animals are seen", followed: 98.2, stopped: 97.8 },
  { world: "2 °C warmer than recorded", followed: 99.3, stopped: 98.7 },
  { world: "twice as many sit deep", followed: 98.1, stopped: 98.3 },
  { world: "one in twenty sits where nothing reaches", followed: 96.6, stopped: 97.1 },
  { world: "every stage takes 1.3 times as long", followed: 98.8, stopped: 98.6 },
  { world: "all of these at once", followed: 89.3, stopped: 95.4 },
];
