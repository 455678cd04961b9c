import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'postgresql',
  schema: './server/storage/tables.ts',
  out: './server/migrations',
});
