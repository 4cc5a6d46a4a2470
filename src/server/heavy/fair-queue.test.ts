import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FairQueue } from './fair-queue';

const drain = (queue: FairQueue<string>): string[] => {
  const served: string[] = [];
  for (let job = queue.shift(); job !== undefined; job = queue.shift()) served.push(job);
  return served;
};

describe('turns', () => {
  it('lets who asks for one thing go after the first of twenty, not after the last', () => {
    const queue = new FairQueue<string>();
    for (let index = 0; index < 20; index++) queue.push(`many ${index}`, 'many');
    queue.push('one', 'one');
    expect(drain(queue).slice(0, 3)).toEqual(['many 0', 'one', 'many 1']);
  });

  it('keeps the order of each who asks, and gives none of three more than one turn ahead', () => {
    const arrivals = fc.array(fc.constantFrom('a', 'b', 'c'), { minLength: 1, maxLength: 40 });
    fc.assert(
      fc.property(arrivals, (callers) => {
        const queue = new FairQueue<string>();
        callers.forEach((caller, index) => queue.push(`${caller} ${String(index).padStart(2, '0')}`, caller));
        const served = drain(queue);
        const count = (caller: string, list: readonly string[]) => list.filter((job) => job.startsWith(caller)).length;
        for (const caller of ['a', 'b', 'c']) {
          const own = served.filter((job) => job.startsWith(caller));
          expect(own).toEqual([...own].sort());
        }
        served.forEach((_, place) => {
          const before = served.slice(0, place + 1);
          const rest = served.slice(place + 1);
          const waiting = ['a', 'b', 'c'].filter((caller) => count(caller, rest) > 0);
          const least = Math.min(...waiting.map((caller) => count(caller, before)));
          const most = Math.max(...['a', 'b', 'c'].map((caller) => count(caller, before)));
          if (waiting.length > 0) expect(most - least).toBeLessThanOrEqual(1);
        });
      }),
    );
  });

  it('has no memory of who was served long ago', () => {
    const queue = new FairQueue<string>();
    for (let index = 0; index < 5; index++) queue.push(`old ${index}`, 'a');
    drain(queue);
    queue.push('a', 'a');
    queue.push('b', 'b');
    expect(drain(queue)).toEqual(['a', 'b']);
  });

  it('takes out who leaves, and moves the others up', () => {
    const queue = new FairQueue<string>();
    for (const job of ['x', 'y', 'z']) queue.push(job, job);
    expect(queue.remove('y')).toBe(true);
    expect(queue.remove('y')).toBe(false);
    expect(queue.list()).toEqual(['x', 'z']);
    expect(queue.size).toBe(2);
  });
});
