/** What is looked at with the power off. */
export const lookItems = ['capacitors', 'soot', 'moisture', 'fan', 'lugs', 'smell', 'fuses'] as const;
/** A thing that is looked at with the power off. */
export type LookItem = (typeof lookItems)[number];

/** Their names, and what to look for. */
export const lookWords: Readonly<Record<LookItem, { name: string; hint: string }>> = {
  capacitors: { name: 'Capacitors', hint: 'Bulged tops, leaked electrolyte, burst vents' },
  soot: { name: 'Soot or arc marks', hint: 'On busbars, modules, inside the cover' },
  moisture: { name: 'Moisture, salt, dust', hint: 'Green copper, white bloom, wet dust' },
  fan: { name: 'Fan', hint: 'Clogged, cracked, greasy. Turn by hand only after the dead proof' },
  lugs: { name: 'Lugs and terminals', hint: 'Discoloured, loose, cracked insulation' },
  smell: { name: 'Smell', hint: 'Burnt varnish, electrolyte' },
  fuses: { name: 'Fuses', hint: 'Line, inverter and control fuses' },
};
