/** The plan of the rooms has so many columns, and so many rows at most. They stand apart from the schemas, which browsers need not load for them. */
export const FLOOR_PLAN_COLUMNS = 4;
export const FLOOR_PLAN_ROWS = 250;
