import type { LookAlikeId } from "@/core/knowledge/signs/lookAlikes";
import { spotsOf, type GrowthFormId } from "@/core/knowledge/plants/growthForms";
import type { SignId, TestId } from "@/core/knowledge/signs/signs";
import type { PestId } from "@/core/knowledge/pests/pests";

export const signNames: Record<SignId, string> = {
  cottonTufts: "White cottony tufts in joints or on the underside",
  rootMeal: "White meal on roots or inside the pot wall",
  webbing: "Fine webbing between leaf and stem",
  stippling: "Pale pin-prick dots on the leaf",
  silverStreaks: "Silvery or bronzed streaks, papery patches",
  blackSpecks: "Tiny black varnish-like specks on the patches",
  twistedGrowth: "New leaves twisted, small or half-grown",
  stickyFilm: "Sticky film on leaf, sill or floor",
  sootyFilm: "Black sooty film",
  fixedBumps: "Fixed bumps in rows on veins and stems",
  shellLifts: "A bump lifts off as a dry shell, the animal beneath",
  smallFlies: "Small dark flies on the mix or flying up",
  whiteFlies: "Tiny white flies rise when a leaf is brushed",
  mixLarvae: "Glassy larvae with a black head in the mix",
  creepingSpecks: "Specks on white paper creep slowly",
  runningSpecks: "Specks on white paper are slender and run",
  grittyDust: "Gritty dust on the underside, pale cast skins",
  packedInsects: "Pear-shaped insects packed on buds or tips",
  corkyScars: "Tan corky scars over younger skin",
  yellowing: "Yellowing, drooping, tips browning",
  wiltsDamp: "Stalls or wilts though the mix is damp",
  ants: "Ants attending",
  alcoholDissolves: "Alcohol dissolves the cotton, the animal smears",
  livesWhenTouched: "It moves when touched",
  scrapeSmears: "A scraped bump leaves a wet smear",
  rustyStreaks: "Damp tissue takes rusty streaks",
  loupeRoundDots: "Under the loupe: round dots with legs, clear eggs",
  loupeSlender: "Under the loupe: slender, pale or dark, quick",
  loupeFlatRed: "Under the loupe: flat, brick-red, hardly moves",
  rootInsects: "Grey or greenish insects walk on the roots",
  potatoLarvae: "Larvae gathered under the potato",
  cardDarkFlies: "Small dark long-legged flies on the card",
  cardSlender: "Slender fringed insects on the card",
  cardWhiteFlies: "Tiny white flies on the card",
};

interface TestWords {
  readonly name: string;
  readonly how: string;
}

export const testNames: Record<TestId, TestWords> = {
  alcoholDab: {
    name: "Dab it with alcohol",
    how: "Cotton dissolves and the animal turns brown or smears; perlite does neither. No flame near.",
  },
  touch: { name: "Touch it with a bud", how: "Does it move?" },
  scrape: {
    name: "Scrape a bump with a fingernail",
    how: "A living scale smears; a dry shell that lifts off with the animal left beneath is armoured scale.",
  },
  paper: { name: "Tap a leaf over white paper", how: "Watch the specks for two minutes: mites creep, thrips run." },
  tissue: { name: "Wipe the underside with damp tissue", how: "Rusty streaks are crushed mites." },
  loupeNewLeaf: { name: "Loupe on the newest leaf", how: "Look along the midrib of the underside, in good light." },
  rootBall: {
    name: "Slip the root ball out",
    how: "White meal on the roots or the pot wall, or insects that walk there. Slide it back if there is none.",
  },
  potato: { name: "A slice of raw potato on the mix", how: "Lift it after 3 to 4 days: gnat larvae gather under it." },
  yellowCard: { name: "Hang a yellow card for a week", how: "Close above the mix; then look with the loupe." },
};

/** The same where there is no leaf to tap and none to look along. */
const onLeafless: Partial<Record<TestId, TestWords>> = {
  paper: {
    name: "Brush it over white paper",
    how: "A soft brush over ribs and areoles. Watch the specks for two minutes: mites creep, thrips run.",
  },
  loupeNewLeaf: {
    name: "Loupe on the newest growth",
    how: "Look into the crown and at the youngest areoles, in good light.",
  },
};
/** And where leaves have no midrib to look along. */
const onFlatLeaves: Partial<Record<TestId, TestWords>> = {
  loupeNewLeaf: { name: "Loupe on the newest leaf", how: "Look at its base and underside, in good light." },
};

/** A test as it is done on a plant of this form. @example testOn("paper", "columnarCactus").name // "Brush it over white paper" */
export function testOn(test: TestId, form: GrowthFormId): TestWords {
  const there = spotsOf(form);
  const leafless = !there.includes("underside") ? onLeafless[test] : undefined;
  const flat = !there.includes("vein") ? onFlatLeaves[test] : undefined;
  return leafless ?? flat ?? testNames[test];
}

export const lookAlikeNames: Record<LookAlikeId, { readonly name: string; readonly tell: string }> = {
  perlite: { name: "Perlite, mineral grains", tell: "hard, do not smear, alcohol does nothing" },
  aerialRoots: { name: "Aerial roots, fresh root tips", tell: "grow out of the stem, firm, do not wipe off" },
  hairsAndBloom: { name: "Shed leaf hairs, wax bloom", tell: "even all over, nothing moves in it" },
  dustAndCobweb: { name: "Dust, an ordinary spider's cobweb", tell: "irregular, with a spider; no specks that walk" },
  hardWater: { name: "Hard-water marks", tell: "wipe off with a drop of vinegar water; no dots on new leaves" },
  nectar: { name: "Nectar outside the flower", tell: "clear drops on a healthy plant, always at the same places" },
  naturalCork: { name: "Natural corking", tell: "at the old base only, evenly all round" },
  sporeCases: { name: "Spore cases of the fern", tell: "regular rows under the leaf, brown dust, no smear" },
  springtails: { name: "Springtails", tell: "jump on wet mix, do not fly; harmless" },
  deadShells: { name: "Old, dead scale shells", tell: "flick off dry and leave no smear; stay on for weeks" },
  woollyAreoles: {
    name: "Woolly areoles",
    tell: "a tuft at every areole, all alike; wool stays when dabbed with alcohol",
  },
  farina: { name: "Farina, the meal of the plant itself", tell: "wipes off as fine powder, even over the whole leaf" },
  oedema: { name: "Oedema", tell: "corky warts on the underside after much water; do not scrape off as shells do" },
  sunburn: { name: "Sunburn", tell: "on the side to the light only, all at once, and does not spread" },
  ribNectar: {
    name: "Nectar of the areoles with sooty film",
    tell: "drops at the areoles of a barrel cactus; washes off, no animals",
  },
  soilMites: { name: "Soil mites", tell: "round, brown and slow, on the mix and not on the leaf; harmless" },
  predatoryMites: { name: "A predatory mite", tell: "one alone, pear-shaped and fast; it helps you" },
  wetOrDry: { name: "Wet roots, drought or age", tell: "old leaves first; feel the mix and look at the roots" },
};

/** What the stages of each pest look like, for one who has never seen them. */
export const stageLooks: Record<PestId, Readonly<Record<string, string>>> = {
  spiderMite: {
    egg: "Clear round eggs",
    immature: "Tiny pale mites",
    youngAdult: "Mites, small",
    adult: "Mites, full-grown",
  },
  thrips: {
    egg: "Eggs in the leaf",
    larva: "Pale slender larvae",
    pupa: "Pupae in the mix",
    youngAdult: "Winged, pale",
    adult: "Winged, dark",
  },
  mealybug: {
    egg: "White egg sacs",
    crawler: "Tiny ones walking",
    nymph: "Half-grown, mealy",
    youngAdult: "Grown, no egg sac yet",
    adult: "Grown, with egg sac",
  },
  rootMealybug: {
    egg: "White egg sacs",
    crawler: "Tiny ones walking",
    nymph: "Half-grown, mealy",
    youngAdult: "Grown, no egg sac yet",
    adult: "Grown, with egg sac",
  },
  softScale: {
    crawler: "Tiny ones walking",
    nymph: "Flat, see-through bumps",
    youngAdult: "Small domed bumps",
    adult: "Large domed bumps",
  },
  armouredScale: {
    egg: "Eggs under a shell",
    crawler: "Tiny ones walking",
    nymph: "Pin-head shells",
    youngAdult: "Small shells",
    adult: "Full-sized shells",
  },
  fungusGnat: {
    egg: "Eggs",
    larva: "Larvae in the mix",
    pupa: "Pupae in the mix",
    youngAdult: "Fresh flies",
    adult: "Dark flies",
  },
  aphid: { nymph: "Small ones, cast skins", youngAdult: "Grown, just moulted", adult: "Grown, with young" },
};
