/** Samples in a period of the supply, and the longest step. */
export const samplesPerPeriod = 512;
/** A sample is 2¹⁴ ticks, so all times are whole ticks: 2.4 ns at 50 Hz. */
export const longestLevel = 14;
/** Ticks between two samples. */
export const ticksPerSample = 2 ** longestLevel;
