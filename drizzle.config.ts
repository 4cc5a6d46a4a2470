import { defineConfig } from 'drizzle-kit';

export default defineConfig({ dialect: 'sqlite', schema: './src/data/schema/index.ts', out: './src/data/migrations' });
