// Mails as files in a folder beside the shop's file.

import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openShop, type ShopContext } from '../context';
import { putInOutbox } from './outbox';

const folder = mkdtempSync(join(tmpdir(), 'chiral-outbox-'));
let now = Date.parse('2026-11-24T10:00:00Z');
let shop: ShopContext;
beforeAll(() => {
  shop = openShop(join(folder, 'shop.sqlite'), () => now);
});
afterAll(() => {
  shop.db.$client.close();
  rmSync(folder, { recursive: true, force: true });
});
const mail = (subject: string) => ({
  from: { name: 'Heron & Hitch', address: 'shop@localhost' },
  to: { name: 'Jörg Müller', address: 'j@x.example' },
  subject,
  text: 'Good day Jörg,\n\nplease look at it.\n',
  attachments: [{ filename: 'proof 1.pdf', content: Buffer.from('%PDF-1.7'), contentType: 'application/pdf' }],
});

describe('the outbox', () => {
  it('holds each mail as a file that a mail program opens, with what is attached', async () => {
    const name = await putInOutbox(shop, mail('Proof 1, Junior crew'));
    expect(readdirSync(join(folder, 'outbox'))).toEqual([name]);
    expect(name).toMatch(/^2026-11-24 Proof 1 Junior crew \w+\.eml$/);
    const text = readFileSync(join(folder, 'outbox', name), 'utf8');
    expect(text).toMatch(/^Subject: Proof 1, Junior crew\r$/m);
    expect(text).toMatch(/^To: =\?UTF-8\?.*\?= <j@x\.example>\r$/m);
    expect(text).toContain('Content-Type: application/pdf');
    expect(text).toContain(Buffer.from('%PDF-1.7').toString('base64'));
  });

  it('keeps a name within the folder, whatever the subject says, and both of two alike', async () => {
    const before = readdirSync(join(folder, 'outbox')).length;
    const first = await putInOutbox(shop, mail('../../etc/Häher: "a"?'));
    now += 1000;
    const second = await putInOutbox(shop, mail('../../etc/Häher: "a"?'));
    expect(first).not.toBe(second);
    expect([first, second].every((name) => !/[/\\:"?]/.test(name))).toBe(true);
    expect(readdirSync(join(folder, 'outbox'))).toHaveLength(before + 2);
  });
});
