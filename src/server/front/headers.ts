/** Parts of the programme, which are pages to nobody: their policy counts where one of them is started as a worker. */
const parts = '/_next/static/';

/**
 * What a page may load and do: all of it from here, scripts only with the word of this answer. Workers may compile WebAssembly,
 * in which the decoders of scanned pages are written; pages may not.
 */
export const contentPolicy = (nonce: string, path: string): string =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'${path.startsWith(parts) ? " 'wasm-unsafe-eval'" : ''}`,
    // The theme writes its rules into the page as it goes.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "worker-src 'self' blob:",
    "connect-src 'self'",
    "font-src 'self' data:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

/** On every answer. The camera is for labels and photographs; Web Serial may come for meters. */
export const standingHeaders: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'no-referrer',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy':
    'camera=(self), screen-wake-lock=(self), geolocation=(), microphone=(), payment=(), usb=(), bluetooth=(), display-capture=()',
};
