/** The terms profiles a person or a customer may choose. */
export const termsProfiles = ['international', 'us'] as const;
/** Which terms and units a text uses: IEC and SI, or those of the United States. */
export type TermsProfile = (typeof termsProfiles)[number];

/** The name of each profile, as a person chooses it. */
export const profileNames: Readonly<Record<TermsProfile, string>> = {
  international: 'International (mm², N·m, °C, kW)',
  us: 'US (AWG, lb·in, °F, hp)',
};

/** Supply frequencies, Hz, the usual one first. */
export const supplyFrequencies_Hz: Readonly<Record<TermsProfile, readonly [50 | 60, 50 | 60]>> = {
  international: [50, 60],
  us: [60, 50],
};
