// The outbox: a folder beside the shop's file that stands for a mail server. Whatever is put there lies as a file that
// any mail program opens and sends.

import { mkdirSync, renameSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { createTransport, type SendMailOptions } from 'nodemailer';
import { dayOf } from '../../core/units';
import { getShop, type ShopContext } from '../context';

const OUTBOX = 'outbox';
/** What every file system takes in a name. */
const toFileName = (subject: string): string =>
  subject
    .normalize('NFKD')
    .replace(/[^\w -]+/g, '')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, 60);

/** The mail as a file. */
export async function writeMail(mail: SendMailOptions): Promise<Uint8Array<ArrayBuffer>> {
  const transport = createTransport({ streamTransport: true, buffer: true, newline: 'windows' });
  const { message } = await transport.sendMail(mail);
  return new Uint8Array(message as Buffer);
}

/** The name of the file in the outbox; it appears there whole or not at all. */
export async function putInOutbox(
  shop: ShopContext,
  mail: SendMailOptions & { readonly subject: string },
): Promise<string> {
  const folder = join(dirname(shop.db.$client.name), OUTBOX);
  const bytes = await writeMail(mail);
  const when = dayOf(shop.now(), getShop(shop).timeZone);
  // Two of one day must not replace each other.
  const name = `${when} ${toFileName(mail.subject)} ${shop.now().toString(36)}.eml`;
  mkdirSync(folder, { recursive: true });
  writeFileSync(join(folder, `${name}.part`), bytes);
  renameSync(join(folder, `${name}.part`), join(folder, name));
  return name;
}
