import { textOfFile } from './read-text';

const file = (bytes: number[] | Buffer) =>
  ({ arrayBuffer: () => Promise.resolve(new Uint8Array(bytes).buffer) }) as unknown as Blob;

it.each([
  ['UTF-8', Buffer.from('3-01;5 Ω')],
  ['UTF-8 with a mark', Buffer.from('\uFEFF3-01;5 Ω')],
  ['UTF-16, little end first', Buffer.from('\uFEFF3-01;5 Ω', 'utf16le')],
  ['UTF-16, big end first', Buffer.from('\uFEFF3-01;5 Ω', 'utf16le').swap16()],
])('%s', async (_, bytes) => {
  expect(await textOfFile(file(bytes))).toBe('3-01;5 Ω');
});

it('what is no UTF-8 is Windows-1252', async () => {
  expect(await textOfFile(file([0x35, 0x20, 0xb0, 0x43]))).toBe('5 °C');
});
