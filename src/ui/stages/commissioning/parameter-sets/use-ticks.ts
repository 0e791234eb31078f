import { useState } from 'react';

function stored(key: string): readonly number[] {
  try {
    const list: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
    return Array.isArray(list) ? list.filter((n): n is number => typeof n === 'number') : [];
  } catch {
    return [];
  }
}

/** Ticks on a list that is worked off at the drive; they outlive a reload of this device. */
export function useTicks(key: string): { has: (place: number) => boolean; turn: (place: number) => void } {
  const [kept, setKept] = useState(() => ({ key, places: stored(key) }));
  const places = kept.key === key ? kept.places : stored(key);
  return {
    has: (place) => places.includes(place),
    turn: (place) => {
      const next = places.includes(place) ? places.filter((p) => p !== place) : [...places, place];
      localStorage.setItem(key, JSON.stringify(next));
      setKept({ key, places: next });
    },
  };
}
