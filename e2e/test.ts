import { test as base } from '@playwright/test';
import { home } from './here';

export { expect } from '@playwright/test';

/** Every test runs against its worker's own server. */
export const test = base.extend({
  baseURL: async ({}, provide) => {
    await provide(home);
  },
});
