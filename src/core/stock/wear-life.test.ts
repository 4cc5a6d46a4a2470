// How worn a supply is, step by step, and how long one really lasts.

import { describe, expect, it } from 'vitest';
import { printWorking } from '../../../test/print-working';
import { computeRealLife, computeWear, type WearLine } from './index';

const line = (kind: WearLine['kind'], amount = 0): WearLine => ({ kind, amount, atMs: 0 });
const MAT = { kind: 'mat', life: 60 } as const;

describe('the wear of what is in use', () => {
  it('is what was booked, less what work gave back and cleaning brought back', () => {
    const wear = computeWear(MAT, [
      line('worn', 99),
      line('fitted'),
      line('worn', 30),
      line('given-back', 4),
      line('cleaned', 10),
      line('worn', 5),
    ])!;
    expect(printWorking(wear.left).split('\n')).toEqual([
      'Left, in loads: 39 count, computed (life − worn)',
      '  Life: 60 count, shop',
      '  Worn, in loads: 21 count, measured (what was booked since it was taken into use)',
      '    Booked: 31 count, measured',
      '    Brought back by cleaning: 10 count, typed',
    ]);
    expect(wear.share).toBeCloseTo(21 / 60, 12);
  });

  it('says nothing of cleaning where none was done', () => {
    expect(computeWear(MAT, [line('fitted'), line('worn', 3)])!.worn.parts).toHaveLength(1);
  });

  it('is due from nine tenths of its life on', () => {
    const due = (worn: number) => computeWear(MAT, [line('fitted'), line('worn', worn)])!.due;
    expect([due(53.9), due(54), due(70)]).toEqual([false, true, true]);
    expect(computeWear(MAT, [line('fitted'), line('worn', 70)])!.left.value).toBe(0);
  });

  it('is none without a life, nor of what does not wear', () => {
    expect(computeWear({ kind: 'mat', life: null }, [line('fitted')])).toBeNull();
    expect(computeWear({ kind: 'heat tape', life: 5 }, [line('fitted')])).toBeNull();
    expect(computeWear(MAT, [])).toBeNull();
  });
});

describe('how long one lasts', () => {
  it('is its stated life while none was worn out', () => {
    expect(printWorking(computeRealLife(MAT, []))).toBe('Life, in loads: 60 count, shop');
    expect(computeRealLife({ kind: 'blade', life: null }, []).value).toBe(1);
  });

  it('is the mean of those that were replaced', () => {
    expect(printWorking(computeRealLife(MAT, [40, 60])).split('\n')).toEqual([
      'Life, in loads: 50 count, learned (mean of those worn out)',
      '  Worn out so far: 2 count, measured',
    ]);
  });

  it('leaves out one that was fitted by mistake and replaced at once', () => {
    expect(computeRealLife(MAT, [0, 40])).toMatchObject({ value: 40 });
    expect(computeRealLife(MAT, [0])).toMatchObject({ value: 60, source: 'shop' });
  });
});
