import { plainWords, say } from './terminal';

const commands: Record<string, () => Promise<(args: string[]) => Promise<number>>> = {
  start: async () => (await import('./start')).startCommand,
  test: async () => (await import('./test')).runTests,
  db: async () => (await import('./db')).dbCommand,
  bench: async () => async (args) =>
    args.includes('--scale')
      ? (await import('./bench-scale')).benchScale()
      : (await import('./bench')).bench(),
  verify: async () => (await import('./verify')).verify,
  licences: async () => (await import('./licences')).writeLicences,
  sbom: async () => (await import('./sbom')).printSbom,
  'install-service': async () => (await import('./install-service')).installService,
  rig: async () => (await import('./rig')).rigCommand,
};

const [command = '', ...args] = process.argv.slice(2);
const load = commands[command];
try {
  process.exitCode = load === undefined ? 2 : await (await load())(args);
} catch (error) {
  say(plainWords(error));
  process.exitCode = 1;
}
