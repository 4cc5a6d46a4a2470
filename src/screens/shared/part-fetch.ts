// Fetching the file of a part of the page, and fetching it again where it did not arrive.

import type { ComponentType } from 'react';

type PartFile<P> = { readonly default: ComponentType<P> };
export type Load<P> = () => Promise<PartFile<P>>;

/** The part did not arrive: the server is away, or was changed for a newer one meanwhile. */
export class NotArrived extends Error {}

/** Of the file that did not arrive, as browsers name it in their error; null where they don't. */
const readAddress = (error: unknown): string | null =>
  (error instanceof Error && /https?:\S+\.js/.exec(error.message)?.[0]) || null;

/** A browser may remember that a file failed, and not ask for it again under the same address. */
async function importAnew<P>(address: string, failures: number): Promise<PartFile<P>> {
  const file = (await import(/* @vite-ignore */ `${address}?again=${failures}`)) as object;
  if (isPart<P>(file)) return file;
  // Built together with what others need as well it stands there under a name that nobody knows. Where several parts
  // do, only the whole page brings it.
  const [part, ...others] = Object.values(file).filter(isPart<P>);
  if (!part || others.length > 0) throw new Error(`No part of the page in ${address}`);
  return part;
}

const isPart = <P>(value: unknown): value is PartFile<P> =>
  (value as { readonly [Symbol.toStringTag]?: string })?.[Symbol.toStringTag] === 'Module' &&
  'default' in (value as object);

/** @returns fetches the part; after a failure, a `NotArrived`, it can be called again */
export function makeFetch<P>(load: Load<P>): Load<P> {
  let failures = 0;
  let failedAddress: string | null = null;
  return async () => {
    try {
      return await (failedAddress === null ? load() : importAnew<P>(failedAddress, failures));
    } catch (cause) {
      failures += 1;
      failedAddress = readAddress(cause) ?? failedAddress;
      throw new NotArrived('A part of the page did not arrive', { cause });
    }
  };
}
