// `npm run mutation`: plants small faults in what money, minutes and material rest on, and sees whether a test fails.
// Takes long, so it is no part of the gate. Some of it: `npm run mutation -- --mutate 'src/core/pricing/price.ts'`;
// the server's part: `MUTATE=server npm run mutation`.

const OF_CORE = [
  ...['costing', 'pricing', 'stock', 'pressing', 'orders', 'estimating', 'scheduling'].map(
    (room) => `src/core/${room}/*.ts`,
  ),
  'src/core/nesting/check-layout.ts',
  'src/core/artwork/measure-artwork.ts',
];
const OF_SERVER = ['src/server/bench/*.ts'];

export default {
  testRunner: 'vitest',
  vitest: { configFile: 'vitest.mutation.config.ts' },
  mutate: [
    ...(process.env.MUTATE === 'server' ? OF_SERVER : OF_CORE),
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
