import type { RoleId } from "@/core/access/roles";
import type { CommandName } from "@/core/access/commandNames";

export const roleNames: Record<RoleId, string> = {
  owner: "Owner",
  keeper: "Keeper",
  sitter: "Sitter",
  reader: "Reader",
};

export const roleMeans: Record<RoleId, string> = {
  owner: "can do everything, and decides who else can",
  keeper: "sees and records everything",
  sitter: "sees what is due and the walks, and records what was done; nothing else",
  reader: "sees everything, records nothing",
};

/** What was done, as it stands in the list of who did what. */
const commandNames: Record<CommandName, string> = {
  addPerson: "person added",
  changePerson: "role changed",
  addPlace: "place added",
  editPlace: "place changed",
  addPlant: "plant added",
  addPlants: "plants added",
  editPlant: "plant changed",
  archivePlant: "plant archived",
  startWalk: "walk started",
  takeReading: "reading taken",
  movePlant: "plant moved",
  moveSeveral: "plants moved",
  arrangePlaces: "rooms arranged",
  setApart: "set apart",
  recordLook: "look recorded",
  adoptPlan: "plan adopted",
  adoptUnnamed: "plan for an unnamed pest adopted",
  recordAct: "treatment recorded",
  recordReaction: "reaction recorded",
  closeCase: "case closed",
  voidFact: "struck out",
  changeSettings: "settings changed",
  startTimer: "timer started",
  endTimer: "timer ended",
  keepSensor: "sensor connected",
  dropSensor: "sensor disconnected",
  importReadings: "readings imported",
  addExperience: "other keepers' experience imported",
  forgetExperience: "other keepers' experience forgotten",
  countTraps: "gnats counted",
  beginProgramme: "room programme started or changed",
  endProgramme: "room programme stopped",
  openFeed: "calendar link created",
  closeFeed: "calendar link revoked",
  keepBottle: "bottle saved",
  dropBottle: "bottle deleted",
  skipPlant: "skipped on a walk",
  recordCleaning: "cleaned",
  endWalk: "walk finished",
  addPhoto: "photo added",
  addPlacePhoto: "photo of a place added",
  importCollection: "file imported",
  importFacts: "tables imported",
};

const isId = (about: string) => /^[0-9a-f-]{36}$/.test(about);

/** One line of who did what; ids mean nothing to anybody. */
export function doneInWords(what: string, about: string): string {
  const name = Object.hasOwn(commandNames, what) ? commandNames[what as CommandName] : what;
  return about === "" || isId(about) ? name : `${name}: ${about}`;
}
