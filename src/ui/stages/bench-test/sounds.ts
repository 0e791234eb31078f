/** Three sounds that cannot be confused in a plant: one high, two falling, three low and rough. */
export type Sound = 'sound' | 'doubt' | 'failed';

const tunes: Record<Sound, { type: OscillatorType; notes: [hz: number, from_s: number, to_s: number][] }> = {
  sound: { type: 'sine', notes: [[1320, 0, 0.09]] },
  doubt: {
    type: 'triangle',
    notes: [
      [880, 0, 0.12],
      [620, 0.15, 0.32],
    ],
  },
  failed: {
    type: 'sawtooth',
    notes: [
      [210, 0, 0.13],
      [210, 0.18, 0.31],
      [160, 0.36, 0.62],
    ],
  },
};

let context: AudioContext | null = null;

/** Plays one; silent where the browser has no sound or none is allowed yet. */
export function play(sound: Sound): void {
  try {
    context ??= new AudioContext();
    const { type, notes } = tunes[sound];
    for (const [hz, from_s, to_s] of notes) {
      const tone = context.createOscillator();
      const volume = context.createGain();
      tone.type = type;
      tone.frequency.value = hz;
      const start = context.currentTime + from_s;
      const end = context.currentTime + to_s;
      volume.gain.setValueAtTime(0.0001, start);
      volume.gain.exponentialRampToValueAtTime(0.6, start + 0.012);
      volume.gain.exponentialRampToValueAtTime(0.0001, end);
      tone.connect(volume).connect(context.destination);
      tone.start(start);
      tone.stop(end);
    }
  } catch {
    context = null;
  }
}
