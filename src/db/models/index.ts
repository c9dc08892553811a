import { DataTypes, Model, type ModelAttributes, type ModelStatic, type Sequelize } from "sequelize";

/**
 * Models are described once as attribute tables; the truth about keys, checks and references is in the migrations.
 * Every row belongs to a collection, and every key begins with it.
 */
const key = { type: DataTypes.UUID, primaryKey: true };
const uuid = DataTypes.UUID;
const { TEXT, BOOLEAN, INTEGER, DATE, DATEONLY, DECIMAL } = DataTypes;
const texts = DataTypes.ARRAY(TEXT);

const fact = (at: string): ModelAttributes => ({ [at]: DATE, recordedAt: DATE, voidedAt: DATE, voidReason: TEXT });
const row = { collectionId: key, id: key };

const attributes = {
  Collection: {
    id: key,
    name: TEXT,
    timeZone: TEXT,
    lookEveryDays: INTEGER,
    units: TEXT,
    spoons: TEXT,
    alcoholPercent: DECIMAL,
    clearPercent: INTEGER,
    planPercent: INTEGER,
    workDays: DataTypes.ARRAY(INTEGER),
    hemisphere: TEXT,
    createdAt: DATE,
  },
  Place: { ...row, name: TEXT, kind: TEXT, parentId: uuid, meanC: DECIMAL },
  Plant: {
    ...row,
    code: TEXT,
    name: TEXT,
    genus: TEXT,
    growthForm: TEXT,
    potCm: DECIMAL,
    acquiredOn: DATEONLY,
    seller: TEXT,
    inFlower: BOOLEAN,
    addedAt: DATE,
    archivedAt: DATE,
  },
  Placement: { ...row, plantId: uuid, placeId: uuid, ...fact("placedAt") },
  Look: {
    ...row,
    plantId: uuid,
    walkId: uuid,
    tool: TEXT,
    spots: texts,
    turned: BOOLEAN,
    note: TEXT,
    naming: DataTypes.JSONB,
    ...fact("lookedAt"),
  },
  Find: {
    ...row,
    lookId: uuid,
    caseId: uuid,
    pest: TEXT,
    severity: TEXT,
    liveCount: INTEGER,
    removed: BOOLEAN,
    spots: texts,
    stages: texts,
  },
  Walk: {
    ...row,
    scope: TEXT,
    placeId: uuid,
    tool: TEXT,
    round: TEXT,
    startedAt: DATE,
    endedAt: DATE,
    recordedAt: DATE,
  },
  Skip: { ...row, walkId: uuid, plantId: uuid, reason: TEXT, ...fact("skippedAt") },
  Photo: {
    ...row,
    lookId: uuid,
    mediaType: TEXT,
    width: INTEGER,
    height: INTEGER,
    bytes: DataTypes.BLOB,
    recordedAt: DATE,
    voidedAt: DATE,
    voidReason: TEXT,
  },
  Case: { ...row, plantId: uuid, pest: TEXT, openedByLookId: uuid, isOpen: BOOLEAN, ...fact("openedAt") },
  Exposure: { collectionId: key, caseId: key, plantId: key, since: DATE },
  Plan: {
    ...row,
    caseId: uuid,
    mix: TEXT,
    technique: TEXT,
    basis: TEXT,
    knockMix: TEXT,
    knockTechnique: TEXT,
    pOver: DataTypes.DOUBLE,
    ...fact("adoptedAt"),
  },
  PlanStep: { ...row, planId: uuid, kind: TEXT, dueOn: DATEONLY },
  Treatment: {
    ...row,
    plantId: uuid,
    caseId: uuid,
    stepId: uuid,
    mix: TEXT,
    technique: TEXT,
    volumeMl: DECIMAL,
    spots: texts,
    note: TEXT,
    ...fact("treatedAt"),
  },
  Closing: { ...row, caseId: uuid, outcome: TEXT, note: TEXT, ...fact("closedAt") },
  PlaceTemperature: { collectionId: key, placeId: key, since: { type: DATEONLY, primaryKey: true }, meanC: DECIMAL },
  Assessment: {
    collectionId: key,
    caseId: key,
    factsVersion: TEXT,
    modelVersion: INTEGER,
    asOf: DATEONLY,
    result: DataTypes.JSONB,
  },
  PlantStateRow: {
    collectionId: key,
    plantId: key,
    placeId: uuid,
    apart: BOOLEAN,
    state: TEXT,
    petals: INTEGER,
    lastLookOn: DATEONLY,
    lookDueOn: DATEONLY,
    derivedOn: DATEONLY,
  },
} as const satisfies Record<string, ModelAttributes>;

const tables: Record<keyof typeof attributes, string> = {
  Collection: "collections",
  Place: "places",
  Plant: "plants",
  Placement: "placements",
  Look: "looks",
  Find: "finds",
  Walk: "walks",
  Skip: "skips",
  Photo: "photos",
  Case: "cases",
  Exposure: "exposures",
  Plan: "plans",
  PlanStep: "plan_steps",
  Treatment: "treatments",
  Closing: "closings",
  PlaceTemperature: "place_temperatures",
  Assessment: "assessments",
  PlantStateRow: "plant_states",
};

export type ModelName = keyof typeof attributes;

/** Whether an attribute is written as options rather than as a bare data type, which may have a `type` of its own. */
const isPlain = (attribute: object) => Object.getPrototypeOf(attribute) === Object.prototype;

/** Initialises every model on a connection; must run once per copy of this module and connection. */
export function initModels(sequelize: Sequelize): void {
  for (const name of Object.keys(attributes) as ModelName[]) {
    // Sequelize writes into attribute objects, and several columns share one here: each gets a copy.
    const own = Object.entries(attributes[name]).map(([column, a]) => [column, isPlain(a) ? { ...a } : { type: a }]);
    sequelize.define(name, Object.fromEntries(own) as ModelAttributes, {
      tableName: tables[name],
      underscored: true,
      timestamps: false,
    });
  }
}

/** The model of that name on a connection. */
export function model(sequelize: Sequelize, name: ModelName): ModelStatic<Model> {
  return sequelize.model(name) as ModelStatic<Model>;
}
