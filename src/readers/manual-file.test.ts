import { decodedText } from './decoded-text';
import { readManualFile } from './manual-file';

const noPdf = () => Promise.reject(new Error('not asked for'));
const bytesOf = (text: string) => new TextEncoder().encode(text);
const list = 'No;Name;Range;Default\nP01;Größte speed;5 - 300 Hz;50\nP02;Run-up time;0.1 - 99 s;4\n';

it.each([
  ['UTF-8', bytesOf(list)],
  ['UTF-8 with its mark', bytesOf(`\uFEFF${list}`)],
  ['UTF-16', new Uint8Array(Buffer.from(`\uFEFF${list}`, 'utf16le'))],
  ['Windows-1252', new Uint8Array(Buffer.from(list, 'latin1'))],
])('text in %s', async (_, bytes) => {
  const { entries } = await readManualFile(bytes, { pdfLibrary: noPdf });
  expect(entries[0]).toMatchObject({ number: 'P01', name: 'Größte speed', min: 5, max: 300, default: 50 });
  expect(decodedText(bytes)).toContain('Größte');
});

it('what is neither a manual nor a list is refused with words', async () => {
  const picture = new Uint8Array([0xff, 0xd8, 0xff, 0xe0, 0, 16, 0x4a, 0x46]);
  await expect(readManualFile(picture, { pdfLibrary: noPdf })).rejects.toThrow(
    'neither a PDF, a spreadsheet nor text',
  );
  const archive = bytesOf('PK\u0003\u0004 no workbook');
  await expect(readManualFile(archive, { pdfLibrary: noPdf })).rejects.toThrow('The spreadsheet is damaged');
});

it('an empty file has nothing in it, and says so', async () => {
  const { findings } = await readManualFile(new Uint8Array(), { pdfLibrary: noPdf });
  expect(findings.map((f) => f.code)).toEqual(['nothing-found']);
});
