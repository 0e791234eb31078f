import type { Person } from './entry';

const nameIn = (words: string): string =>
  (words.split(',')[0] ?? '').trim().replace(/\s+/g, ' ').toLocaleLowerCase('en');

/**
 * Why the person named for a risk cannot carry it; null: nothing is against it. Who agrees need not be
 * known to this shop (a works manager, a harbour master), so the log records what its maker states; but
 * it is somebody else than who signs.
 * @param approver name, and function after a comma
 */
export const againstAgreement = (by: Person, approver: string): string | null =>
  nameIn(approver) === nameIn(by.name)
    ? 'Another person must accept the risk: the signer cannot agree for others.'
    : null;
