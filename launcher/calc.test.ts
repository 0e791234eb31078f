/** The command as a person or a script calls it. */
import { spawnSync } from 'node:child_process';

const calc = (args: string[], input = '') => {
  const { status, stdout, stderr } = spawnSync('./grim', ['calc', ...args], { input, encoding: 'utf8' });
  return { status, stdout, stderr, lines: stdout.split('\n').filter((l) => l !== '') };
};

it('lists its verbs', () => {
  expect(calc(['--list']).lines.map((l) => l.split('\t')[0])).toEqual([
    'discharge',
    'downtime',
    'fit-check',
    'insulation',
    'key-plan',
    'loop-check',
    'manual-read',
    'meaning',
    'module-verdict',
    'plate',
    'plate-read',
    'ramp',
    'run-chain',
    'set-audit',
    'set-diff',
    'set-import',
    'set-plan',
    'set-translate',
    'settings',
    'static-diagnose',
    'static-readings',
    'trace-next',
    'unbalance',
    'waveform',
    'waveform-diagnose',
    'winding',
    'wire-map',
  ]);
});

it('answers one input on stdout and nothing else', () => {
  const { status, stdout } = calc(
    ['discharge'],
    '{"capacitance_uF":1000,"bleederOhm":150000,"startVolts":565,"limitVolts":50}',
  );
  expect(status).toBe(0);
  expect(JSON.parse(stdout)).toMatchObject({ tau_s: 150 });
});

it('exits with 2 and one human line per problem', () => {
  const { status, stdout, stderr } = calc(['plate'], '{"volts":-1,"amp":3}');
  expect(status).toBe(2);
  const { error } = JSON.parse(stdout) as { error: { code: string; problems: unknown[] } };
  expect(error.code).toBe('bad-input');
  expect(stderr.trim().split('\n')).toHaveLength(error.problems.length);
  expect(calc(['plate'], 'not json').status).toBe(2);
  expect(calc(['no-such-verb'], '{}').status).toBe(2);
});

it('goes on after a bad line, in order, with the ids echoed', () => {
  const input = [
    '{"id":"a","probes":[{"red":"L1","black":"DC+"}]}',
    '{"id":"b","probes":[{"red":"L9","black":"DC+"}]}',
    '',
    'garbage',
    '{"id":{"deep":[1]},"probes":[]}',
  ].join('\n');
  const { status, lines } = calc(['static-readings', '--lines'], `${input}\n`);
  expect(status).toBe(2);
  const answers = lines.map((l) => JSON.parse(l) as { id: unknown; error?: { code: string } });
  expect(answers.map((a) => a.id)).toEqual(['a', 'b', null, { deep: [1] }]);
  expect(answers.map((a) => a.error?.code)).toEqual([undefined, 'bad-input', 'bad-input', undefined]);
  expect(calc(['static-readings', '--lines'], '{}\n').status).toBe(0);
});

it('publishes its schemas', () => {
  const schema = JSON.parse(calc(['static-diagnose', '--schema']).stdout) as Record<string, { type: string }>;
  expect(Object.keys(schema)).toEqual(['input', 'output']);
  expect(schema['input']?.type).toBe('object');
});
