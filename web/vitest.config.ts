import { defineConfig, mergeConfig } from 'vitest/config';
import page from './vite.config';

export default mergeConfig(
  page,
  defineConfig({ test: { environment: 'node', include: ['src/**/*.test.ts', 'src/**/*.test.tsx'] } }),
);
