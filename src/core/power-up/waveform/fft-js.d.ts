declare module 'fft.js' {
  /** Radix-4 transform of a power of two of samples. */
  export default class FFT {
    constructor(size: number);
    createComplexArray(): number[];
    realTransform(out: number[], data: ArrayLike<number>): void;
  }
}
