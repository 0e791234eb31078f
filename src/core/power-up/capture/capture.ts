/** What a channel shows. The current and volt names are those of `core/waveform`; `other` is drawn and not judged. */
export const channelRoles = [
  'vdc',
  'ia',
  'ib',
  'ic',
  'iu',
  'iv',
  'iw',
  'vuv',
  'vvw',
  'vwu',
  'other',
] as const;
/** What a channel of a scope shows. */
export type ChannelRole = (typeof channelRoles)[number];

/** What each channel shows, in words. */
export const channelRoleWords: Readonly<Record<ChannelRole, string>> = {
  vdc: 'bus voltage',
  ia: 'line current L1',
  ib: 'line current L2',
  ic: 'line current L3',
  iu: 'output current U',
  iv: 'output current V',
  iw: 'output current W',
  vuv: 'output U to V',
  vvw: 'output V to W',
  vwu: 'output W to U',
  other: 'something else',
};

/** V or A by what it shows. */
export const unitOfRole = (role: ChannelRole): string =>
  role.startsWith('v') ? 'V' : role.startsWith('i') ? 'A' : '';

/** A channel of a capture: values in its unit, evenly spaced. */
export interface Channel {
  name: string;
  role: ChannelRole;
  unit: string;
  values: Float64Array;
}

/** Channels on one even time base. */
export interface Capture {
  t0: number;
  /** s between samples. */
  dt: number;
  channels: readonly Channel[];
  /** What was put right or is to be known of it, in words. */
  notes: readonly string[];
}

/** A file that cannot be used, and what to do about it. */
export class BadCapture extends Error {}
