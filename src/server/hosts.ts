// Under which names Chiral answers. Another site whose name is led to this machine would otherwise read and write the
// shop as if it were Chiral's own page.

import { isIP } from 'node:net';

type Environment = { readonly HOST?: string | undefined; readonly CHIRAL_HOSTS?: string | undefined };

const OWN_NAMES = ['localhost', '127.0.0.1', '::1'];
const ALL_ADDRESSES = ['0.0.0.0', '::'];

/** The name of `name:port` or `[address]:port`, in small letters. */
function toName(host: string): string {
  const inBrackets = /^\[([^\]]*)\](?::\d+)?$/.exec(host);
  return (inBrackets ? inBrackets[1]! : host.replace(/:\d+$/, '')).toLowerCase();
}

/**
 * This computer's own names, what HOST and CHIRAL_HOSTS name, and, where HOST means every address, addresses as such:
 * a name can be led astray, an address can't.
 */
export function isHostAllowed(host: string | null, { HOST = '', CHIRAL_HOSTS = '' }: Environment): boolean {
  if (!host) return false;
  const name = toName(host);
  const named = [HOST, ...CHIRAL_HOSTS.split(',')].map((one) => toName(one.trim())).filter(Boolean);
  if (OWN_NAMES.includes(name) || named.includes(name)) return true;
  return ALL_ADDRESSES.includes(HOST) && isIP(name) > 0;
}
