import { isOwnHost } from '../http/own-host';

/** What is turned away, and with which words. */
export interface Turned {
  status: 400 | 403 | 405 | 414;
  error: string;
}

const methods = ['GET', 'HEAD', 'POST', 'PUT'];
const longestAddress = 4096;

function isReadable(path: string): boolean {
  try {
    return !decodeURIComponent(path).includes('\0');
  } catch {
    return false;
  }
}

/**
 * What is turned away before anything else looks at it: foreign names of this machine (DNS rebinding), ways and addresses
 * that no page and no route has. Null: it may go on.
 */
export function turnedAway({
  method = '',
  url = '',
  host,
}: {
  method?: string | undefined;
  url?: string | undefined;
  host: string | undefined;
}): Turned | null {
  if (!isOwnHost(host))
    return { status: 403, error: 'This server accepts requests from its own machine only.' };
  if (!methods.includes(method)) return { status: 405, error: `${methods.join(', ')} are allowed.` };
  if (url.length > longestAddress) return { status: 414, error: 'This address is too long.' };
  const [path = ''] = url.split('?');
  if (!path.startsWith('/') || !isReadable(path)) return { status: 400, error: 'Invalid address.' };
  return null;
}
