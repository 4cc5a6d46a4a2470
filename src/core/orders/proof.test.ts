import { describe, expect, it } from 'vitest';
import { compareProof, groupDesigns, groupTextsByPlace, listSharedDrawings, type ProofLine } from './index';

const LINE: ProofLine = {
  lineId: 1,
  itemName: 'Jacket',
  quantity: 1,
  sizeName: 'M',
  colourName: 'navy',
  ground: '#1f2a44',
  texts: [{ label: 'Surname', text: 'TARN' }],
  drawings: [
    { artworkId: 5, version: 1, place: 'back', widthMm: 240, label: null, colours: ['#ffffff'] },
    { artworkId: 9, version: 1, place: 'shoulders', widthMm: 100, label: 'Surname', colours: ['#ffffff'] },
  ],
};
const change = (part: Partial<ProofLine>) =>
  compareProof({ lines: [LINE] }, { lines: [{ ...LINE, ...part }] }).map((one) =>
    'was' in one ? [one.kind, one.was, one.now] : [one.kind],
  );

describe('what changed since a proof', () => {
  it('is nothing where nothing did', () => expect(change({})).toEqual([]));

  it.each([
    [{ quantity: 2 }, [['quantity', '1', '2']]],
    [{ sizeName: 'L' }, [['size', 'M', 'L']]],
    [{ colourName: 'rust' }, [['colour', 'navy', 'rust']]],
    [{ texts: [] }, [['text', 'Surname “TARN”', '']]],
  ])('%j', (part, told) => expect(change(part)).toEqual(told));

  it('tells another text once, though its outline is another drawing, too', () => {
    const drawings = [LINE.drawings[0]!, { ...LINE.drawings[1]!, artworkId: 10, widthMm: 130 }];
    expect(change({ texts: [{ label: 'Surname', text: 'TERN' }], drawings })).toEqual([
      ['text', 'Surname “TARN”', 'Surname “TERN”'],
    ]);
  });

  it('tells a drawing that was changed, made larger or put elsewhere', () => {
    const [drawing, text] = LINE.drawings;
    for (const other of [{ version: 2 }, { widthMm: 250 }, { place: 'front' }])
      expect(change({ drawings: [{ ...drawing!, ...other }, text!] }).map(([kind]) => kind)).toEqual(['drawing']);
    for (const other of [{ place: 'sleeve' }, { colours: ['#c98a12'] }])
      expect(change({ drawings: [drawing!, { ...text!, ...other }] }).map(([kind]) => kind)).toEqual(['drawing']);
  });

  it('tells lines that came and went', () => {
    const other = { ...LINE, lineId: 2 };
    expect(compareProof({ lines: [LINE] }, { lines: [other] })).toEqual([
      { kind: 'added', line: other },
      { kind: 'removed', line: LINE },
    ]);
  });
});

describe('texts of a piece', () => {
  const NUMBER = { ...LINE.drawings[1]!, artworkId: 10, label: 'Number', gapMm: 15 };

  it('stand together where they share a place, from the top; drawings are none of them', () => {
    const sleeve = { ...LINE.drawings[1]!, artworkId: 11, place: 'sleeve', label: 'Seat' };
    const places = groupTextsByPlace({ ...LINE, drawings: [...LINE.drawings, sleeve, NUMBER] });
    expect(places.map((texts) => texts.map(({ artworkId }) => artworkId))).toEqual([[9, 10], [11]]);
  });

  it('moved apart ask for a new proof', () => {
    const drawings = [...LINE.drawings, NUMBER];
    const moved = [...LINE.drawings, { ...NUMBER, gapMm: 40 }];
    const [one] = compareProof({ lines: [{ ...LINE, drawings }] }, { lines: [{ ...LINE, drawings: moved }] });
    expect(one).toMatchObject({ kind: 'drawing' });
  });
});

describe('designs of an order', () => {
  const [drawing, text] = LINE.drawings;
  const lines = (...parts: Partial<ProofLine>[]) => parts.map((part, at) => ({ ...LINE, lineId: at + 1, ...part }));
  const group = (...parts: Partial<ProofLine>[]) =>
    groupDesigns({ lines: lines(...parts) }).map((own) => own.map(({ lineId }) => lineId));

  it('are one where item, colour and drawings are, whatever size and text a piece has', () => {
    const larger = { sizeName: 'XL', drawings: [{ ...drawing!, widthMm: 300, version: 2 }, text!] };
    const otherText = {
      texts: [{ label: 'Surname', text: 'FERN' }],
      drawings: [drawing!, { ...text!, artworkId: 12 }],
    };
    expect(group({}, larger, otherText, { drawings: [drawing!] })).toEqual([[1, 2, 3, 4]]);
  });

  it.each([
    [{ itemName: 'Apron' }],
    [{ colourName: 'rust' }],
    [{ drawings: [{ ...drawing!, artworkId: 6 }, text!] }],
    [{ drawings: [{ ...drawing!, place: 'front' }, text!] }],
    [{ drawings: [{ ...drawing!, colours: ['#000000'] }, text!] }],
    [{ drawings: [text!] }],
  ])('are apart with %j', (other) => expect(group({}, other)).toEqual([[1], [2]]));

  it('show the drawings that all their pieces share, and no text', () => {
    expect(listSharedDrawings(LINE)).toEqual([drawing]);
  });
});
