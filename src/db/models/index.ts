import { DataTypes, Model, type ModelAttributes, type ModelStatic, type Sequelize } from "sequelize";
import { factKindIds, factKindOf } from "@/core/record/facts/facts";
import type { Columns, ColumnType } from "@/core/record/facts/kind";

/**
 * Models are described once as attribute tables; the truth about keys, checks and references is in the migrations.
 * Every row belongs to a collection, and every key begins with it. Tables of facts follow from the registry of fact kinds.
 */
const types: Record<ColumnType, () => ModelAttributes[string]> = {
  uuid: () => ({ type: DataTypes.UUID }),
  text: () => ({ type: DataTypes.TEXT }),
  texts: () => ({ type: DataTypes.ARRAY(DataTypes.TEXT) }),
  boolean: () => ({ type: DataTypes.BOOLEAN }),
  integer: () => ({ type: DataTypes.INTEGER }),
  number: () => ({ type: DataTypes.DOUBLE }),
  day: () => ({ type: DataTypes.DATEONLY }),
  json: () => ({ type: DataTypes.JSONB }),
  bytes: () => ({ type: DataTypes.BLOB }),
};
const key = () => ({ type: DataTypes.UUID, primaryKey: true });
const date = () => ({ type: DataTypes.DATE });

/** Attributes of a table from how each is kept. */
const kept = (columns: Columns): ModelAttributes =>
  Object.fromEntries(Object.entries(columns).map(([attribute, type]) => [attribute, types[type]()]));

const recorded = () => ({ recordedAt: date(), recordedBy: types.text() });
const everyFact = () => ({
  ...{ happenedAt: date(), ...recorded(), recordedAccount: types.uuid() },
  ...{ voidedAt: date(), voidReason: types.text() },
});
const own = () => ({ collectionId: key(), id: key() });

/** Tables that hold no facts: what is described, and caches. */
const others: Readonly<Record<string, () => ModelAttributes>> = {
  collections: () => ({
    id: key(),
    ...kept({
      name: "text",
      timeZone: "text",
      lookEveryDays: "integer",
      units: "text",
      spoons: "text",
      alcoholPercent: "number",
      clearPercent: "integer",
      everyDays: "integer",
      riskPercent: "number",
      stretchLooks: "boolean",
      numbers: "text",
      hemisphere: "text",
      owns: "texts",
      household: "texts",
      notAllowed: "texts",
      poisonCentre: "text",
      bottles: "json",
      experience: "json",
      toldElsewhere: "json",
      isDemo: "boolean",
    }),
    workDays: { type: DataTypes.ARRAY(DataTypes.INTEGER) },
    createdAt: date(),
  }),
  places: () => ({
    ...own(),
    ...kept({
      name: "text",
      kind: "text",
      parentId: "uuid",
      roomFor: "integer",
      doorShut: "boolean",
      dripsOn: "uuid",
      light: "text",
      heightCm: "number",
      planColumn: "integer",
      planRow: "integer",
    }),
  }),
  plants: () => ({
    ...own(),
    ...kept({
      code: "text",
      name: "text",
      genus: "text",
      growthForm: "text",
      potCm: "number",
      acquiredOn: "day",
      seller: "text",
      inBud: "boolean",
      worth: "text",
      kept: "text",
      motherId: "uuid",
      inherits: "json",
      inFlower: "boolean",
      careAdded: "texts",
      careWithout: "texts",
      recordedBy: "text",
    }),
    addedAt: date(),
    archivedAt: date(),
  }),
  walks: () => ({
    ...own(),
    ...kept({ scope: "text", placeId: "uuid", tool: "text", round: "text" }),
    startedAt: date(),
    endedAt: date(),
    ...recorded(),
  }),
  timers: () => ({
    ...own(),
    ...kept({ plantId: "uuid", what: "text", startedBy: "text" }),
    startedAt: date(),
    endsAt: date(),
    endedAt: date(),
  }),
  sensors: () => ({
    ...own(),
    ...kept({ name: "text", placeId: "uuid", address: "text", battery: "number", problem: "text" }),
    keptAt: date(),
    askedAt: date(),
    heardAt: date(),
    toldUntil: date(),
  }),
  sensor_samples: () => ({
    collectionId: key(),
    sensorId: key(),
    at: { type: DataTypes.DATE, primaryKey: true },
    ...kept({ celsius: "number", humidity: "number" }),
  }),
  feeds: () => ({
    ...own(),
    ...kept({ name: "text", tokenHash: "text", madeBy: "text" }),
    madeAt: date(),
    fetchedAt: date(),
  }),
  walk_plants: () => ({
    collectionId: key(),
    walkId: key(),
    plantId: key(),
    ...kept({ placeId: "uuid", state: "text", petals: "integer", apart: "boolean" }),
    ...kept({ rank: "integer", tool: "text", round: "text" }),
  }),
  cases: () => ({
    ...own(),
    ...kept({ plantId: "uuid", pest: "text", outcome: "text" }),
    aliases: { type: DataTypes.ARRAY(DataTypes.UUID) },
    openedAt: date(),
    closedAt: date(),
    finds: { type: DataTypes.ARRAY(DataTypes.DATE) },
  }),
  exposures: () => ({
    collectionId: key(),
    plantId: key(),
    caseId: key(),
    ...kept({ sourcePlantId: "uuid", pest: "text" }),
    since: date(),
  }),
  plant_states: () => ({
    collectionId: key(),
    plantId: key(),
    ...kept({
      placeId: "uuid",
      slot: "number",
      apart: "boolean",
      state: "text",
      petals: "integer",
      lastLookOn: "day",
      lookDueOn: "day",
      lookDueFor: "text",
      factsVersion: "integer",
      current: "boolean",
    }),
  }),
  case_numbers: () => ({
    collectionId: key(),
    caseId: key(),
    ...kept({ plantId: "uuid", factsVersion: "integer", modelVersion: "integer", asOf: "day", numbers: "json" }),
  }),
  assessments: () => ({
    collectionId: key(),
    caseId: key(),
    ...kept({
      plantId: "uuid",
      factsVersion: "integer",
      ways: "text",
      modelVersion: "integer",
      asOf: "day",
      result: "json",
    }),
  }),
};

/** Every table with its attributes. */
function tables(): Record<string, ModelAttributes> {
  const all: Record<string, ModelAttributes> = {};
  for (const [table, attributes] of Object.entries(others)) all[table] = attributes();
  for (const kind of factKindIds.map(factKindOf)) {
    all[kind.table] = { ...own(), ...kept(kind.columns), ...everyFact() };
    for (const part of Object.values(kind.parts ?? {}))
      all[part.table] = { ...own(), ...kept({ [part.of]: "uuid", ...part.columns }) };
  }
  return all;
}

/** Initialises every model on a connection; must run once per copy of this module and connection. */
export function initModels(sequelize: Sequelize): void {
  for (const [tableName, attributes] of Object.entries(tables()))
    sequelize.define(tableName, attributes, { tableName, underscored: true, timestamps: false });
}

/** The model of a table on a connection. */
export function model(sequelize: Sequelize, table: string): ModelStatic<Model> {
  return sequelize.model(table) as ModelStatic<Model>;
}
