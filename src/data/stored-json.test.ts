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

  it('read again is the same, and nobody can change it for the next reader', () => {
    const text = writeStoredJson({ widths: [1, 2, 3], note: 'x'.repeat(200), deep: { list: [{ a: 1 }] } }, []);
    const read = () => readStoredJson('facts', text, []) as { widths: number[]; deep: { list: { a: number }[] } };
    const first = read();
    expect(() => first.widths.push(4)).toThrow(TypeError);
    expect(() => (first.deep.list[0]!.a = 2)).toThrow(TypeError);
    expect(read()).toEqual(JSON.parse(text).value);
    expect(readStoredJson('facts', text, [addColour])).toMatchObject({ colour: 'white', widths: [1, 2, 3] });
  });

  it('of a newer program, or that is no JSON, is told with its name', () => {
    const newer = writeStoredJson({}, [addColour, rename]);
    expect(() => readStoredJson('facts', newer, [addColour])).toThrow(/facts.*newer Chiral \(edition 3\)/);
    expect(() => readStoredJson('sheet', '{"a":', [])).toThrow(UnreadableColumnError);
    expect(() => readStoredJson('sheet', '{"a":', [])).toThrow(/column sheet .*older copy/);
  });
});
