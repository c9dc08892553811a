import { usualSettings, type Settings } from "../src/core/record/facts/settings";
import type { GrowthFormId } from "../src/core/knowledge/plants/growthForms";

/**
 * The demo collection: a made-up harbour light-keeper's house turned into a home for plants. Everything here is our
 * own invention, sellers and codes included.
 */
export const settings = {
  ...usualSettings,
  name: "The Lamp House",
  timeZone: "Europe/Lisbon",
  alcoholPercent: 96,
  owns: ["lamp", "loupe"],
} satisfies Settings;

export const places = [
  { key: "lampRoom", name: "Lamp room", kind: "room", parent: null, celsius: 20 },
  { key: "ledgeEast", name: "Lamp-room ledge, east", kind: "shelf", parent: "lampRoom", celsius: 21, light: "window" },
  { key: "ledgeWest", name: "Lamp-room ledge, west", kind: "shelf", parent: "lampRoom", celsius: 21, light: "window" },
  { key: "stairs", name: "Stairwell", kind: "room", parent: null, celsius: 20 },
  { key: "rackTop", name: "Lit rack, top", kind: "shelf", parent: "stairs", celsius: 24, light: "lamp", heightCm: 150 },
  {
    key: "rackMiddle",
    name: "Lit rack, middle",
    kind: "shelf",
    parent: "stairs",
    celsius: 23,
    light: "lamp",
    heightCm: 95,
  },
  {
    key: "rackBottom",
    name: "Lit rack, bottom",
    kind: "shelf",
    parent: "stairs",
    celsius: 22,
    light: "lamp",
    heightCm: 40,
  },
  { key: "shed", name: "Boat shed", kind: "room", parent: null, celsius: 9 },
  { key: "shedBench", name: "Boat-shed bench", kind: "shelf", parent: "shed", celsius: 9 },
  { key: "bath", name: "Bathroom", kind: "room", parent: null, celsius: 22 },
  { key: "bathSill", name: "Bathroom sill", kind: "shelf", parent: "bath", celsius: 22, light: "window" },
  { key: "terrace", name: "Veranda", kind: "outdoors", parent: null, celsius: 13 },
  { key: "pantry", name: "Oil pantry", kind: "isolation", parent: null, celsius: 20, roomFor: 6 },
  { key: "loft", name: "Net loft", kind: "isolation", parent: null, celsius: 19, roomFor: 4 },
] as const;

/** Where the rooms lie: the lamp room at the top of the stairs, the shed and the veranda below. */
export const plan = [
  ["lampRoom", 1, 0],
  ["loft", 2, 0],
  ["stairs", 1, 1],
  ["bath", 2, 1],
  ["pantry", 0, 1],
  ["shed", 0, 2],
  ["terrace", 1, 2],
] as const satisfies readonly (readonly [PlaceKey, number, number])[];

/** Which shelf's water drips onto which. */
export const drips = [
  ["rackTop", "rackMiddle"],
  ["rackMiddle", "rackBottom"],
] as const satisfies readonly (readonly [PlaceKey, PlaceKey])[];

export type PlaceKey = (typeof places)[number]["key"];

type PlantRow = readonly [
  code: string,
  name: string,
  genus: string,
  place: PlaceKey,
  potCm: number,
  seller: string,
  extra?: { form?: GrowthFormId; inFlower?: boolean },
];

const harbour = "Harbour market stall";
const club = "Cactus club swap";
const glass = "The glasshouse on the hill";

/** 51 plants that were there from the beginning of the record; the arrival follows in the history. */
export const plants: readonly PlantRow[] = [
  ["L01", "Wax flower, pale", "Hoya", "ledgeEast", 14, harbour],
  ["L02", "Wax flower, heart-leaved", "Hoya", "ledgeEast", 12, harbour],
  ["L03", "String of hearts", "Ceropegia", "ledgeEast", 9, glass],
  ["L04", "Lemon from a pip", "Citrus", "ledgeEast", 22, "Grown here"],
  ["L05", "Calamondin", "Citrus", "ledgeEast", 20, glass, { inFlower: true }],
  ["L06", "Weeping fig", "Ficus", "ledgeEast", 26, glass],
  ["L07", "Rubber fig", "Ficus", "ledgeEast", 24, "Left by the last tenant"],
  ["L08", "Painted croton", "Codiaeum", "ledgeEast", 16, harbour],
  ["L09", "Split-leaf, old", "Monstera", "ledgeWest", 30, "Left by the last tenant"],
  ["L10", "Split-leaf, young", "Monstera", "ledgeWest", 17, "Grown here"],
  ["L11", "Heart-leaf climber", "Philodendron", "ledgeWest", 17, glass],
  ["L12", "Golden climber", "Epipremnum", "ledgeWest", 15, "Grown here"],
  ["L13", "Arrowhead", "Syngonium", "ledgeWest", 13, harbour],
  ["L14", "Flag flower", "Anthurium", "ledgeWest", 14, glass, { inFlower: true }],
  ["L15", "Umbrella tree", "Schefflera", "ledgeWest", 24, "Left by the last tenant"],
  ["L16", "Dragon cane", "Dracaena", "ledgeWest", 21, "Left by the last tenant"],
  ["R01", "Echeveria, blue", "Echeveria", "rackTop", 9, club],
  ["R02", "Echeveria, frilled", "Echeveria", "rackTop", 11, club],
  ["R03", "Panda ears", "Kalanchoe", "rackTop", 10, harbour],
  ["R04", "Jade tree", "Crassula", "rackTop", 18, "Grown here"],
  ["R05", "Window haworthia", "Haworthia", "rackTop", 8, club],
  ["R06", "Ox tongue", "Gasteria", "rackTop", 10, club],
  ["R07", "Living stones", "Lithops", "rackTop", 7, club],
  ["R08", "Desert rose", "Adenium", "rackTop", 15, glass],
  ["R09", "Prayer plant", "Maranta", "rackMiddle", 13, harbour],
  ["R10", "Peacock leaf", "Calathea", "rackMiddle", 15, glass],
  ["R11", "Nerve plant", "Fittonia", "rackMiddle", 8, harbour],
  ["R12", "Window-sill violet", "Saintpaulia", "rackMiddle", 9, harbour, { inFlower: true }],
  ["R13", "Eyelash begonia", "Begonia", "rackMiddle", 12, club],
  ["R14", "Radiator plant", "Peperomia", "rackMiddle", 9, harbour],
  ["R15", "Jewel orchid", "Ludisia", "rackMiddle", 12, glass],
  ["R16", "Peace flag", "Spathiphyllum", "rackBottom", 17, "Left by the last tenant"],
  ["R17", "Elephant ear", "Alocasia", "rackBottom", 18, glass],
  ["R18", "Money stem", "Zamioculcas", "rackBottom", 19, harbour],
  ["R19", "Parlour palm", "Chamaedorea", "rackBottom", 16, harbour],
  ["S01", "Old man column", "Cereus", "shedBench", 14, club],
  ["S02", "Pincushion, white", "Mammillaria", "shedBench", 9, club],
  ["S03", "Pincushion, woolly", "Mammillaria", "shedBench", 10, club],
  ["S04", "Chin cactus", "Gymnocalycium", "shedBench", 10, club],
  ["S05", "Crown cactus", "Rebutia", "shedBench", 8, club],
  ["S06", "Beaver pads", "Opuntia", "shedBench", 16, club],
  ["S07", "Star fish flower", "Stapelia", "shedBench", 12, club],
  ["B01", "Maidenhair", "Adiantum", "bathSill", 13, harbour],
  ["B02", "Nest fern", "Asplenium", "bathSill", 15, harbour],
  ["B03", "Moth orchid, white", "Phalaenopsis", "bathSill", 12, glass, { inFlower: true }],
  ["B04", "Moth orchid, spotted", "Phalaenopsis", "bathSill", 12, glass],
  ["B05", "Urn plant", "Aechmea", "bathSill", 15, glass],
  ["V01", "Bay tree", "Laurus", "terrace", 28, "Left by the last tenant"],
  ["V02", "Olive", "Olea", "terrace", 30, harbour],
  ["V03", "Fuchsia, hanging", "Fuchsia", "terrace", 20, harbour],
  ["V04", "Oleander, white", "Nerium", "terrace", 26, glass],
];

/** How often a weekly round left a plant out: one of so many, in a fixed pattern. */
export const SKIPS = { plantStep: 7, weekStep: 3, oneIn: 13 } as const;

/** What there is to mix with; a price in nobody's money. */
export const bottles = [
  {
    key: "soap",
    name: "Plain soap",
    active: "soap",
    onFood: false,
    percent: null,
    size: 250,
    price: 3.2,
    openedAgo: 60,
    bestBeforeIn: null,
  },
  {
    key: "alcohol",
    name: "Alcohol from the chemist’s",
    active: "alcohol",
    onFood: false,
    percent: 96,
    size: 500,
    price: 6.5,
    openedAgo: 75,
    bestBeforeIn: null,
  },
  {
    key: "oil",
    name: "Paraffin oil",
    active: "oil",
    onFood: true,
    percent: null,
    size: 100,
    price: 4.8,
    openedAgo: 50,
    bestBeforeIn: 400,
  },
  {
    key: "neem",
    name: "Neem, from last winter",
    active: "neem",
    onFood: true,
    percent: null,
    size: 100,
    price: 9.9,
    openedAgo: 300,
    bestBeforeIn: -20,
  },
] as const;
