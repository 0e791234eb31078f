/** 14:02, on the clock of this place. */
export const clockTime = (iso: string | number): string =>
  new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' }).format(new Date(iso));

export const dateTime = (iso: string | number): string =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' }).format(new Date(iso));

/** 4 December 2026. */
export const day = (iso: string): string =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' }).format(new Date(iso));

/** 1 h 52, 12 min, 3 d 4 h. */
export function span(minutes: number): string {
  const m = Math.max(0, Math.round(minutes));
  if (m < 60) return `${m} min`;
  if (m < 48 * 60) return `${Math.floor(m / 60)} h ${String(m % 60).padStart(2, '0')}`;
  return `${Math.floor(m / 1440)} d ${Math.floor((m % 1440) / 60)} h`;
}

/** 4:07 for a countdown in seconds. */
export const countdown = (seconds: number): string =>
  `${Math.floor(Math.max(0, seconds) / 60)}:${String(Math.floor(Math.max(0, seconds) % 60)).padStart(2, '0')}`;

/** 2026-12-04T14:02, on the clock of this place, as fields of date and time take it. */
export function localMinute(at: number): string {
  const on = new Date(at);
  return new Date(at - on.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}
