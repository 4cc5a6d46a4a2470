// `npm run mutation`: plants small faults in what money, minutes and material rest on, and sees whether a test fails.
// Takes long, so it is no part of the gate. One room of the house: `MUTATE=pricing npm run mutation`; rooms stand in
// mutation-rooms.json.

import { readFileSync } from 'node:fs';

const rooms = JSON.parse(readFileSync(new URL('mutation-rooms.json', import.meta.url), 'utf8'));
const room = process.env.MUTATE;

export default {
  testRunner: 'vitest',
  // Which tests belong to a room is said there; some reach what is mutated through the server's doors alone.
  vitest: { configFile: 'vitest.mutation.config.ts', related: false },
  mutate: [
    ...(room ? [rooms[room]] : Object.values(rooms)).flatMap(({ files }) => files),
    '!src/**/*.test.ts',
    '!src/**/*examples.ts',
    '!src/**/*.bench.ts',
    '!src/**/index.ts',
  ],
  // Words, lists and shapes of what is shown: tests of figures do not read every label.
  mutator: { excludedMutations: ['StringLiteral', 'ArrayDeclaration', 'ObjectLiteral'] },
  reporters: ['clear-text', 'json'],
  jsonReporter: { fileName: 'reports/mutation.json' },
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  coverageAnalysis: 'perTest',
  concurrency: 2,
  timeoutMS: 20_000,
  thresholds: { high: 90, low: 85, break: 85 },
  tempDirName: 'reports/stryker',
};
