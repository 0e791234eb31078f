/** Does a Host header name this machine? */
export const isOwnHost = (host: string | null | undefined): boolean =>
  /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/.test(host ?? '');
