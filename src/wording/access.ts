import type { RoleId } from "@/core/access/roles";
import type { DeedName } from "@/core/access/deedNames";

export const roleNames: Record<RoleId, string> = {
  owner: "Owner",
  keeper: "Keeper",
  sitter: "Sitter",
  reader: "Reader",
};

export const roleMeans: Record<RoleId, string> = {
  owner: "does everything, and decides who else may",
  keeper: "sees and records everything",
  sitter: "sees what is due and the walks, and writes down what was done of it; nothing else",
  reader: "sees everything and writes nothing down",
};

/** What was done, as it stands in the list of who did what. */
const deedNames: Record<DeedName, string> = {
  addPerson: "person added",
  changePerson: "role changed",
  addPlace: "place added",
  editPlace: "place changed",
  addPlant: "plant added",
  addPlants: "plants added",
  editPlant: "plant changed",
  archivePlant: "plant archived",
  startWalk: "walk begun",
  takeReading: "reading taken",
  movePlant: "plant moved",
  moveSeveral: "plants moved",
  setApart: "set apart",
  recordLook: "look written down",
  adoptPlan: "plan adopted",
  adoptUnnamed: "plan against something without a name adopted",
  recordAct: "act written down",
  recordReaction: "reaction written down",
  closeCase: "case closed",
  voidFact: "struck out",
  changeSettings: "settings changed",
  startTimer: "timer started",
  endTimer: "timer ended",
  keepSensor: "device for the air kept",
  dropSensor: "device for the air asked no more",
  importReadings: "readings of a place brought in",
  countTraps: "gnats counted",
  beginProgramme: "programme of a room begun or changed",
  endProgramme: "programme of a room ended",
  openFeed: "address of the calendar made",
  closeFeed: "address of the calendar ended",
  keepBottle: "bottle in the cupboard written down",
  dropBottle: "bottle taken out of the cupboard",
  skipPlant: "skipped on a walk",
  recordCleaning: "cleaned",
  endWalk: "walk ended",
  addPhoto: "photo added",
  addPlacePhoto: "photo of a place added",
  importCollection: "file brought in",
  importFacts: "tables brought in",
};

const isId = (about: string) => /^[0-9a-f-]{36}$/.test(about);

/** One line of who did what; ids mean nothing to anybody. */
export function doneInWords(what: string, about: string): string {
  const name = Object.hasOwn(deedNames, what) ? deedNames[what as DeedName] : what;
  return about === "" || isId(about) ? name : `${name}: ${about}`;
}
