import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: { include: ["src/**/*.test.{ts,tsx}", "test/**/*.test.ts"], exclude: ['test/browser/**'], testTimeout: 20_000, passWithNoTests: false },
});
