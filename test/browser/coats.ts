// An order of coats, and its load for the cutter: what tests of the cutter begin with.

import { expect, type Page } from '@playwright/test';
import { open } from './server';

/** An order of coats. Its id. */
export async function orderCoats(address: string, title: string, quantity = 2): Promise<number> {
  const answer = await fetch(`${address}/api/orders`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Origin: address },
    body: JSON.stringify({
      title,
      customerName: 'Ansel Thrush',
      contact: '',
      dueDay: '2031-03-03',
      agreed: 5000,
      note: '',
      lines: [{ itemId: 6, quantity, sizeName: 'M', colourName: 'white' }],
    }),
  });
  return ((await answer.json()) as { id: number }).id;
}

/** Only the coats of that order, laid out on a roll and saved. */
export async function layOutCoats(
  page: Page,
  address: string,
  heading = /^2 parts on \d/,
  title = 'Coats',
): Promise<void> {
  await open(page, `${address}/cut-sheets`);
  await page
    .getByRole('navigation', { name: 'Vinyls' })
    .getByRole('button', { name: /^Tarn Smooth, slate/ })
    .click();
  const what = page.getByRole('region', { name: 'What is laid out' });
  for (const box of await what.getByRole('checkbox', { name: / × / }).all())
    if (!(await box.locator('xpath=ancestor::label').textContent())?.includes(title)) await box.uncheck();
  await what.getByRole('combobox', { name: 'Cut from' }).click();
  await page
    .getByRole('option', { name: /^Roll / })
    .first()
    .click();
  const load = page.getByRole('region', { name: 'Load' });
  await load.getByRole('button', { name: 'Lay out' }).click();
  await expect(load.getByRole('heading')).toHaveText(heading);
  await load.getByRole('button', { name: 'Stop here' }).click();
  await expect(load.getByRole('button', { name: 'Improve further' })).toBeVisible();
}
