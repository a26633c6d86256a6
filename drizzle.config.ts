import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'sqlite',
  schema: ['./src/server/database/accountTables.ts', './src/server/database/tables.ts'],
  out: './src/server/database/migrations',
});
