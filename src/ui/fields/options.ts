/** What can be chosen from a list: the value, and what is read. */
export type Options<T extends string = string> = readonly (readonly [value: T, label: string])[];

/** Ids with the names they are chosen by. */
export const named = <Id extends string>(ids: readonly Id[], names: Readonly<Record<Id, string>>): Options<Id> =>
  ids.map((id) => [id, names[id]]);
