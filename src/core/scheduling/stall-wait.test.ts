import { describe, expect, it } from 'vitest';
import { computeStallWait } from './index';

describe('the waiting time at a stall', () => {
  it('is the piece alone where nobody waits', () => {
    expect(computeStallWait({ ahead: [], ownHandsSeconds: 240, ownMachineSeconds: 45 }).value).toBe(285);
  });

  it('comes after all that is promised for today, and tells each of them', () => {
    const ahead = [
      { label: 'Ash', seconds: 300 },
      { label: 'Vale', seconds: 120 },
    ];
    const wait = computeStallWait({ ahead, ownHandsSeconds: 240, ownMachineSeconds: 0 });
    expect(wait.value).toBe(660);
    expect(wait.parts![0]!.parts!.map(({ label, value }) => [label, value])).toEqual([
      ['Ash', 300],
      ['Vale', 120],
    ]);
  });
});
