// Before all browser tests: the demo shop is seeded once, as it is when it is opened for the first time. Each server of
// a test begins with a copy.

import { join } from 'node:path';
import { DEMO_FILE, SEEDED, ShopServer } from './server';

const PORT = 4379;

export default async function seedOnce(): Promise<() => Promise<void>> {
  const server = new ShopServer(PORT, true);
  await server.start();
  await server.stop();
  process.env[SEEDED] = join(server.data, DEMO_FILE);
  return () => server.remove();
}
