// The tests that planted faults are held against: those of the part that is mutated, and no slower ones.

import { defineConfig, mergeConfig } from 'vitest/config';
import base from './vitest.config';

const OF_SERVER = ['src/server/bench/*.test.ts', 'src/server/stock/supplies-flow.test.ts'];
const OF_CORE = ['src/core/**/*.test.ts', 'src/wording/*.test.ts'];

const own = mergeConfig(base, defineConfig({}));
own.test.include = process.env['MUTATE'] === 'server' ? OF_SERVER : OF_CORE;
export default own;
