// A load's plan is made once for all who look at it, whoever of them leaves.

import { expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { groupOf, layTwoLabels, LABEL_BLACK } from '../cut-sheets/cut-load-examples';
import { saveCutSheet } from '../cut-sheets/save-cut-sheet';
import { ShopError } from '../errors';
import { getAsking, runAsked } from '../heavy/asking';
import { planCut } from '../heavy/cut-thread';
import { planLoad, type PlanCut } from './load-plan';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

it('is there for a window that waits for it, though the one that asked first has left', async () => {
  const roll = groupOf(shop, LABEL_BLACK).stock.find((lot) => lot.form === 'roll')!;
  const { id } = saveCutSheet(shop, layTwoLabels(shop, roll.lotId));
  let made = 0;
  let release = () => {};
  // As heavy work does: stopped when who asked for it leaves.
  const plan: PlanCut = (task) =>
    new Promise((resolve, reject) => {
      made++;
      getAsking().signal?.addEventListener('abort', () => reject(new ShopError('busy', { reason: 'stopped' })));
      release = () => resolve(planCut(task));
    });
  const first = new AbortController();
  const asked = runAsked({ caller: 'one', signal: first.signal }, () => planLoad(shop, id, plan));
  const waiting = runAsked({ caller: 'other', signal: null }, () => planLoad(shop, id, plan));
  first.abort();
  release();
  const [one, other] = await Promise.all([asked, waiting]);
  expect(other.sheets[0]!.facts.usedLengthMm).toBeGreaterThan(0);
  expect(other).toBe(one);
  expect(made).toBe(1);
});
