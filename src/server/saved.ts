// What a save answers: the next one is made on this version.

export type Saved = { readonly id: number; readonly version: number };

export const added = (id: number): Saved => ({ id, version: 1 });
/** After a change of what was read as `version`: every change counts it up by one. */
export const changed = (id: number, version: number): Saved => ({ id, version: version + 1 });
