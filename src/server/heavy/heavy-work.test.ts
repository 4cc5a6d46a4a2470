import { availableParallelism } from 'node:os';
import { afterAll, describe, expect, it } from 'vitest';
import { runAsked } from './asking';
import { makeHeavyWork } from './heavy-work';

const heavy = makeHeavyWork(() => new URL('../../../test/trial-thread.mjs', import.meta.url).pathname);
afterAll(heavy.close);

const tooMuch = () => new Error('too much');
const run = (task: object, caller = 'me', signal: AbortSignal | null = null, limitMs = 10_000): Promise<unknown> =>
  runAsked({ caller, signal }, () => heavy.run({ kind: 'measure', task, limitMs, tooMuch }));
const listOf = (caller: string) => runAsked({ caller, signal: null }, heavy.list);

/** Fills every thread there is: what is asked for after it waits. */
const fillThreads = (ms: number) => {
  const leave = new AbortController();
  const jobs: Promise<unknown>[] = [];
  while (!listOf('filler').some(({ before }) => before > 0)) jobs.push(run({ do: 'wait', ms }, 'filler', leave.signal));
  return { leave, done: Promise.allSettled(jobs) };
};

describe('heavy work', () => {
  it('answers', async () => expect(await run({ do: 'work', ms: 1, answer: 42 })).toBe(42));

  it('tells how many come first, and serves others in turn with who asked for much', async () => {
    const filler = fillThreads(300);
    const order: string[] = [];
    const jobs = ['many', 'many', 'many', 'one'].map((caller, index) =>
      run({ do: 'wait', ms: 1 }, caller).then(() => order.push(`${caller} ${index}`)),
    );
    expect(listOf('one')).toEqual([{ kind: 'measure', before: expect.any(Number) }]);
    expect(listOf('many')).toHaveLength(3);
    await Promise.all(jobs);
    await filler.done;
    expect(order.indexOf('one 3')).toBeLessThan(order.indexOf('many 1'));
    expect(listOf('one')).toEqual([]);
  });

  it('ends at once what who asked has left, waiting or under way, and goes on with the next', async () => {
    const filler = fillThreads(60_000);
    const left = new AbortController();
    const waiting = run({ do: 'work', ms: 1 }, 'left', left.signal);
    left.abort();
    await expect(waiting).rejects.toMatchObject({ refusal: { reason: 'stopped' } });
    const next = run({ do: 'work', ms: 1, answer: 'next' });
    filler.leave.abort();
    expect((await filler.done).every(({ status }) => status === 'rejected')).toBe(true);
    expect(await next).toBe('next');
  });

  it('leaves a thread that rests the time to tidy up', async () => {
    await run({ do: 'tidy later' });
    await new Promise((resolve) => setTimeout(resolve, 300));
    expect(await run({ do: 'tell tidied' })).toBe(true);
  });

  it('keeps its thread where what is left ends soon, and ends it where it does not', async () => {
    const leaveAfter = async (ms: number) => {
      const left = new AbortController();
      const job = run({ do: 'wait', ms }, 'left', left.signal);
      await new Promise((resolve) => setTimeout(resolve, 50));
      left.abort();
      await expect(job).rejects.toMatchObject({ refusal: { reason: 'stopped' } });
      expect(listOf('left')).toEqual([]);
    };
    const number = await run({ do: 'which' });
    await leaveAfter(150);
    expect(await run({ do: 'which' })).toBe(number);
    await leaveAfter(60_000);
    expect(await run({ do: 'which' })).not.toBe(number);
  });

  it('begins nothing for who has left already', async () => {
    await expect(run({ do: 'work', ms: 1 }, 'gone', AbortSignal.abort())).rejects.toMatchObject({
      refusal: { reason: 'stopped' },
    });
  });

  it('counts what the thread works, not the time that goes by', async () => {
    await expect(run({ do: 'work', ms: 5000 }, 'me', null, 500)).rejects.toThrow('too much');
    expect(await run({ do: 'wait', ms: 1200, answer: 'waited' }, 'me', null, 500)).toBe('waited');
  });

  it('tells when the thread dies, and has another for the next', async () => {
    await expect(run({ do: 'die' })).rejects.toMatchObject({ refusal: { reason: 'thread-died' } });
    expect(await run({ do: 'work', ms: 1, answer: 'alive' })).toBe('alive');
  });

  it('refuses what takes more memory than it may', async () => {
    await expect(run({ do: 'fill' }, 'me', null, 60_000)).rejects.toThrow('too much');
    expect(await run({ do: 'work', ms: 1, answer: 'alive' })).toBe('alive');
  }, 60_000);

  it('passes on what the work itself throws', async () => {
    await expect(run({ do: 'throw' })).rejects.toThrow('thrown');
  });

  it('refuses in words when too many wait', async () => {
    const crowd = Array.from({ length: 20 + Math.max(1, availableParallelism() - 1) }, () => new AbortController());
    const jobs = crowd.map(({ signal }) => run({ do: 'wait', ms: 60_000 }, 'crowd', signal));
    await expect(run({ do: 'work', ms: 1 })).rejects.toMatchObject({ refusal: { reason: 'queue-full', waiting: 20 } });
    crowd.forEach((one) => one.abort());
    await Promise.allSettled(jobs);
    expect(await run({ do: 'work', ms: 1, answer: 'free' })).toBe('free');
  });
});
