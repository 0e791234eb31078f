// Where run and speed come from. Where no source is named: common practice, no source.
import { given, when, type AuditRule, type AuditFacts } from './rule';

const runFunctions = ['run', 'run-forward', 'run-reverse', 'start-pulse'];
const reverseFunctions = ['reverse', 'run-reverse'];
const usesSerial = ({ is }: AuditFacts): boolean =>
  (['place.remote-run', 'place.remote-reference', 'place.local-run', 'place.local-reference'] as const).some(
    (c) => is(c) === 'serial',
  );

/** Signals of the analog inputs that speed comes from. */
const speedSignals = ({ is }: AuditFacts): string[] =>
  (['AI1', 'AI2'] as const).flatMap((id) => {
    const used = is('place.remote-reference') === id || is('place.local-reference') === id;
    const signal = is(`input.${id}-signal`);
    return used && signal !== undefined ? [signal] : [];
  });

/** The jumper of an analog input against the signal that is chosen for it. */
const jumperRule = (id: 'AI1' | 'AI2'): AuditRule => ({
  id: `jumper-${id}`,
  severity: 'wrong',
  about: `jumper of ${id}`,
  concepts: [`input.${id}-signal`],
  judge: ({ is, jumpers }) => {
    const signal = is(`input.${id}-signal`);
    const jumper = jumpers?.[id];
    if (signal === undefined || jumper === undefined) return undefined;
    const wants = signal.endsWith('mA') ? 'mA' : 'V';
    return when(
      wants !== jumper,
      `Selector of ${id} is set to ${jumper}, the parameter needs ${wants}.`,
      `signal ${signal}, jumper ${jumper}`,
    );
  },
});

/** Where run and speed come from, against inputs and signals. */
export const sourceAudits: readonly AuditRule[] = [
  {
    id: 'reverse-locked',
    severity: 'doubt',
    about: 'reverse input but reverse disabled',
    concepts: ['limit.reverse'],
    judge: ({ is, functions }) => {
      const reverse = is('limit.reverse');
      const asks = functions.filter((f) => reverseFunctions.includes(f.does));
      return given([reverse], (reverse) =>
        when(
          reverse === 'locked' && asks.length > 0,
          'An input commands reverse, but reverse is disabled: no effect.',
          `${asks.map((a) => a.mark).join(', ')} commands reverse`,
        ),
      );
    },
  },
  {
    id: 'reverse-unused',
    severity: 'info',
    about: 'reverse allowed but no reverse input',
    concepts: ['limit.reverse'],
    judge: ({ is, functions }) => {
      const reverse = is('limit.reverse');
      const asks = functions.some((f) => reverseFunctions.includes(f.does));
      return given([reverse], (reverse) =>
        when(
          reverse === 'allowed' && !asks,
          'Reverse is allowed without a reverse input: a negative reference reverses the machine.',
          'no input with reverse',
        ),
      );
    },
  },
  {
    id: 'keypad-left',
    severity: 'doubt',
    about: 'keypad control left on',
    concepts: ['place.selected', 'place.remote-run'],
    judge: ({ is, choices }) => {
      const place = is('place.selected');
      const run = is('place.remote-run');
      if (place === undefined && run === undefined) return undefined;
      const meant = choices?.runFrom === 'keypad';
      return when(
        !meant && (place === 'local' || run === 'keypad'),
        'Control source is the keypad: test value left in the drive.',
        place === 'local' ? 'local/remote selection local' : 'remote run from the keypad',
      );
    },
  },
  {
    id: 'no-run-input',
    severity: 'wrong',
    about: 'run from terminals without a run input',
    concepts: ['place.remote-run'],
    judge: ({ is, functions }) =>
      given([is('place.remote-run')], (run) =>
        when(
          run === 'terminals' && !functions.some((f) => runFunctions.includes(f.does)),
          'Control source is the terminals, but no input has the run function.',
          'no input with run',
        ),
      ),
  },
  {
    id: 'same-function',
    severity: 'doubt',
    about: 'two inputs with one function',
    concepts: ['input.DI1', 'input.DI2', 'input.DI3', 'input.DI4', 'input.DI5', 'input.DI6'],
    judge: ({ functions }) => {
      const twice = functions.filter((f, i) => functions.some((g, k) => k < i && g.does === f.does));
      return when(
        twice.length > 0,
        'Two inputs have the same function: see the manual which one wins.',
        twice.map((t) => `${t.does} twice, also at ${t.mark}`).join('; '),
      );
    },
  },
  {
    id: 'three-wire-stop',
    severity: 'wrong',
    about: 'three-wire run without a stop input',
    concepts: ['run.wiring'],
    judge: ({ is, functions }) =>
      given([is('run.wiring')], (wiring) =>
        when(
          wiring === 'three-wire' && !functions.some((f) => f.does === 'stop-break'),
          'Three-wire control without a stop input: the drive cannot be stopped at the terminals.',
          'three-wire, no stop input',
        ),
      ),
  },
  {
    id: 'two-wire-restart',
    severity: 'doubt',
    about: 'two-wire control and power return',
    concepts: ['run.wiring', 'restart.power-on'],
    judge: ({ is }) =>
      given([is('run.wiring'), is('restart.power-on')], (wiring, powerOn) =>
        when(
          wiring !== 'three-wire' && powerOn === 'on',
          'A maintained run contact starts the machine when power returns.',
          `${wiring}, run at power on`,
        ),
      ),
  },
  jumperRule('AI1'),
  jumperRule('AI2'),
  {
    id: 'live-zero',
    severity: 'doubt',
    about: '4–20 mA without wire-break detection',
    concepts: ['input.AI1-signal', 'input.AI2-signal', 'reference.loss'],
    judge: (facts) =>
      given([facts.is('reference.loss')], (loss) =>
        when(
          speedSignals(facts).includes('4-20mA') && loss === 'ignore',
          'A broken wire is not detected: below 4 mA is its only sign.',
          '4–20 mA, loss of reference ignored',
        ),
      ),
  },
  {
    id: 'dead-zero',
    severity: 'doubt',
    about: 'reference loss with a signal starting at zero',
    concepts: ['input.AI1-signal', 'input.AI2-signal', 'reference.loss'],
    judge: (facts) => {
      const loss = facts.is('reference.loss');
      const signals = speedSignals(facts);
      return given([loss], (loss) =>
        when(
          signals.some((s) => s === '0-10V' || s === '0-20mA') && loss === 'trip',
          'Signal starts at zero and reference loss trips: zero reference will trip.',
          `${signals.join(', ')}, trip on loss`,
        ),
      );
    },
  },
  {
    id: 'analog-inverted',
    severity: 'doubt',
    about: 'analog scaling',
    concepts: ['input.AI1-low', 'input.AI1-high'],
    judge: ({ num }) =>
      given([num('input.AI1-low'), num('input.AI1-high')], (low, high) =>
        when(
          low >= high,
          'Inverse scaling: more signal gives less speed.',
          `${low} % at zero, ${high} % at full`,
        ),
      ),
  },
  {
    id: 'serial-watchdog',
    severity: 'wrong',
    about: 'serial control without a watchdog',
    concepts: ['protect.serial'],
    judge: (facts) =>
      given([facts.is('protect.serial')], (watch) =>
        when(
          usesSerial(facts) && watch === 'ignore',
          'The machine keeps running if communication fails.',
          'run or reference from the serial link, communication loss ignored',
        ),
      ),
  },
  {
    id: 'serial-idle',
    severity: 'doubt',
    about: 'serial control not used',
    concepts: ['run.serial-control'],
    judge: (facts) =>
      given([facts.is('run.serial-control')], (serial) =>
        when(
          serial === 'on' && !usesSerial(facts),
          'Serial control word active without a controller: it may inhibit the drive.',
          'serial control on, no source serial',
        ),
      ),
  },
];
