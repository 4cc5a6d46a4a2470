import { expect, it, vi } from 'vitest';
import { makeForgetAtRest } from './forget-at-rest';

it('lets go, once it has rested, of what a task has left behind', async () => {
  const forgetAtRest = makeForgetAtRest(20);
  const left = new WeakRef(leaveBehind());
  const isForgotten = () => left.deref() === undefined;
  await new Promise((resolve) => setTimeout(resolve, 100));
  expect(isForgotten()).toBe(false);
  forgetAtRest();
  await vi.waitFor(() => expect(isForgotten()).toBe(true));
});

/** As large as what only a look through everything lets go of. */
const leaveBehind = (): object => new Array(1e6).fill(0.5);
