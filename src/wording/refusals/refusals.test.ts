import { describe, expect, it } from 'vitest';
import { describeRefusal, type Refusal } from './index';

const zone = { locale: 'en-GB', timeZone: 'Europe/Vienna' };
const other = { parts: 1, savedAtMs: Date.UTC(2026, 10, 27, 9, 30), zone };
const roll = { id: 7, code: null };
const offcut = { id: 9, code: 'K4' };

describe('a refusal', () => {
  it.each<[Refusal, string]>([
    [
      { reason: 'roll-short', lot: roll, leftMm: 811.9, takesMm: 812.2 },
      // Rounded against the seller: never "has 812, takes 812".
      'Lot 7 has 811 mm left, and this takes 813 mm. Choose other stock, or lay out fewer parts.',
    ],
    [
      { reason: 'sheet-claimed', lot: offcut, other },
      'Offcut K4 is taken by the cut sheet of 1 part saved at Fri 27 Nov, 10:30. Choose other stock, or discard that sheet first.',
    ],
    [
      { reason: 'piece-on-other-sheet', part: null, other: null },
      'One of these parts lies on another load already. Open that one, or discard it first.',
    ],
    [
      { reason: 'piece-not-ready', piece: 3, station: 'press', state: 'cut' },
      'Piece 3 is not ready for Press: a part of it is cut. Reload to see what has changed.',
    ],
    [
      { reason: 'layers-in-use', used: 1, worn: 2 },
      'Items use this artwork with 1 layer, and these steps leave 2 that are worn. Save it as a new artwork, or archive those items first.',
    ],
    [
      { reason: 'lot-short', form: 'roll', has: 1200.04, asked: 1500 },
      'There are 1200 mm left of this lot, and 1500 mm are asked for. Count it first if there is more than the book says.',
    ],
    [
      { reason: 'lot-short', form: 'piece', has: 2, asked: 3 },
      'There are 2 left of this lot, and 3 are asked for. Count it first if there is more than the book says.',
    ],
    [{ reason: 'columns-missing', columns: ['price', 'name'] }, 'Say which columns hold price and name first.'],
    [
      { reason: 'list-unreadable', problem: { kind: 'open-quote', line: 12 } },
      'A quotation mark is never closed, from line 12 on. Mend that line, then choose the list again.',
    ],
    [
      { reason: 'name-taken', what: 'supplier', name: 'Weir' },
      'There is a supplier called “Weir” already. Give this one another name.',
    ],
    [{ reason: 'body-too-large', limitBytes: 2 * 1024 * 1024 }, 'That is more than 2 MB. Send less at once.'],
  ])('$reason', (refusal, sentence) => expect(describeRefusal(refusal)).toBe(sentence));
});
