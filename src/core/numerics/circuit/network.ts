import type { Diode, Element, Resistor, VoltageSource } from './elements';

interface Link {
  element: Element;
  from: number;
  to: number;
}

/** A network made ready for solving: nodes by number, diodes in order. */
export interface Network {
  nodes: readonly string[];
  diodes: readonly Diode[];
  /** Every element with its two nodes' numbers, in the order given. */
  links: readonly Link[];
  index: ReadonlyMap<string, number>;
  /** The same as plain numbers, for the kernel. */
  numbers: Numbers;
}

/** Conductors (resistors, and sources as conductors with an e.m.f.) and junctions, one slot each. */
export interface Numbers {
  conductorFrom: Int32Array;
  conductorTo: Int32Array;
  conductor_S: Float64Array;
  emf_V: Float64Array;
  diodeFrom: Int32Array;
  diodeTo: Int32Array;
  saturation_A: Float64Array;
  emission_V: Float64Array;
  series_ohm: Float64Array;
  shift_V: Float64Array;
}

/**
 * Numbers the nodes of a network.
 * @param elements the network
 * @param extraNodes nodes that must exist although nothing may be connected to them (terminals)
 */
export function compile(elements: readonly Element[], extraNodes: readonly string[] = []): Network {
  const index = new Map<string, number>();
  const number = (node: string): number => {
    const known = index.get(node);
    if (known !== undefined) return known;
    index.set(node, index.size);
    return index.size - 1;
  };
  extraNodes.forEach(number);
  const ends = (e: Element): [string, string] =>
    e.type === 'D' ? [e.anode, e.cathode] : e.type === 'V' ? [e.plus, e.minus] : [e.a, e.b];
  const links = elements.map((element) => {
    const [from, to] = ends(element);
    return { element, from: number(from), to: number(to) };
  });
  const diodes = links.filter((l): l is Link & { element: Diode } => l.element.type === 'D');
  const conductors = links.filter(
    (l): l is Link & { element: Resistor | VoltageSource } => l.element.type !== 'D',
  );
  return {
    nodes: [...index.keys()],
    diodes: diodes.map((l) => l.element),
    links,
    index,
    numbers: {
      conductorFrom: Int32Array.from(conductors, (l) => l.from),
      conductorTo: Int32Array.from(conductors, (l) => l.to),
      conductor_S: Float64Array.from(
        conductors,
        ({ element: e }) => 1 / (e.type === 'R' ? e.ohm : e.series_ohm),
      ),
      emf_V: Float64Array.from(conductors, ({ element: e }) => (e.type === 'V' ? e.volts : 0)),
      diodeFrom: Int32Array.from(diodes, (l) => l.from),
      diodeTo: Int32Array.from(diodes, (l) => l.to),
      saturation_A: Float64Array.from(diodes, (l) => l.element.saturation_A),
      emission_V: Float64Array.from(diodes, (l) => l.element.emission_V),
      series_ohm: Float64Array.from(diodes, (l) => l.element.series_ohm),
      shift_V: Float64Array.from(diodes, (l) => l.element.shift_V ?? 0),
    },
  };
}

/** What differs from a compiled network, element by element: the nodes stay. */
export interface Changes {
  /** Diodes by their number in `network.diodes`. */
  diodes?: readonly { diode: number; saturation_A?: number; emission_V?: number; shift_V?: number }[];
  /** Conductors by their number among resistors and sources, in the order given to `compile`; 0 opens one. */
  conductors?: readonly { conductor: number; conductance_S?: number; emf_V?: number }[];
}

/**
 * A network that differs from a compiled one in the size of some elements only: much cheaper than to
 * compile again. `links` and `diodes` go on describing the original.
 */
export function withChanges(network: Network, { diodes = [], conductors = [] }: Changes): Network {
  const numbers: Numbers = { ...network.numbers };
  if (conductors.length > 0) {
    numbers.conductor_S = numbers.conductor_S.slice();
    numbers.emf_V = numbers.emf_V.slice();
  }
  for (const { conductor, conductance_S, emf_V } of conductors) {
    if (conductance_S !== undefined) numbers.conductor_S[conductor] = conductance_S;
    if (emf_V !== undefined) numbers.emf_V[conductor] = emf_V;
  }
  if (diodes.length > 0) {
    numbers.saturation_A = numbers.saturation_A.slice();
    numbers.emission_V = numbers.emission_V.slice();
    numbers.shift_V = numbers.shift_V.slice();
  }
  for (const { diode, saturation_A, emission_V, shift_V } of diodes) {
    if (saturation_A !== undefined) numbers.saturation_A[diode] = saturation_A;
    if (emission_V !== undefined) numbers.emission_V[diode] = emission_V;
    if (shift_V !== undefined) numbers.shift_V[diode] = shift_V;
  }
  return { ...network, numbers };
}
