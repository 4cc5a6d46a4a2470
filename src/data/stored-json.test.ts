import { describe, expect, it } from 'vitest';
import { readStoredJson, UnreadableColumnError, writeStoredJson, type Upgrade } from './stored-json';

const addColour: Upgrade = (older) => ({ colour: 'white', ...older });
const rename: Upgrade = ({ size, ...older }) => ({ ...older, widthMm: size });

describe('a stored column', () => {
  it('comes back as it was written', () => {
    for (const value of [{ a: [1, null] }, [], 'text', 0, { edition: 4 }, { value: 1 }])
      expect(readStoredJson('facts', writeStoredJson(value, []), [])).toEqual(value);
  });

  it('is brought through each edition since', () => {
    expect(readStoredJson('facts', '{"size":5}', [addColour, rename])).toEqual({ colour: 'white', widthMm: 5 });
    const second = writeStoredJson({ colour: 'red', size: 5 }, [addColour]);
    expect(readStoredJson('facts', second, [addColour, rename])).toEqual({ colour: 'red', widthMm: 5 });
  });

  it('of a newer program, or that is no JSON, is told with its name', () => {
    const newer = writeStoredJson({}, [addColour, rename]);
    expect(() => readStoredJson('facts', newer, [addColour])).toThrow(/facts.*newer Chiral \(edition 3\)/);
    expect(() => readStoredJson('sheet', '{"a":', [])).toThrow(UnreadableColumnError);
    expect(() => readStoredJson('sheet', '{"a":', [])).toThrow(/column sheet .*older copy/);
  });
});
