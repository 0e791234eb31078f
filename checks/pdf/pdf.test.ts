/** Every document of the demo, read by qpdf and poppler and judged by the rules of PDF/UA-1. */
import { execFileSync } from 'node:child_process';
import PDFDocument from 'pdfkit';
import { v7 } from 'uuid';
import { units } from '../../src/core/job/swap/__tests__/swap-job';
import { newestVersion } from '../../src/core/logbook';
import { loadDemo } from '../../src/server/database/maintenance';
import { ownDatabase } from '../../src/server/database/__tests__/own-database';
import { db } from '../../src/server/database/connection';
import { loadFirstPowerPlan } from '../../src/server/documents/first-power';
import { loadKeyDocument, loadSetDocument } from '../../src/server/documents/parameter-sets';
import { printOrder, type DocumentName, type PrintOrder } from '../../src/server/documents/printable';
import { usualForm } from '../../src/server/documents/print';
import { drillingOf, labelsOf, wireList } from '../../src/server/documents/replacement';
import { illustrated, loadReport } from '../../src/server/documents/report';
import { loadStartUpSheet } from '../../src/server/documents/start-up-sheet';
import { loadStaticSheet } from '../../src/server/documents/static-sheet';
import { HttpError } from '../../src/server/http/guard';
import { jobOrRefusal, type LoadedJob } from '../../src/server/logbook/folded';
import { appendEntries } from '../../src/server/logbook/append';
import { personById } from '../../src/server/people/people';
import { readPdf } from './reader';
import { faultsOf } from './rules';

ownDatabase();

const winch = '0190a200-0000-7000-8000-000000000001';
const netDrum = '0190a200-0000-7000-8000-00000000000b';

/** Adds to a job of the demo what a document needs. */
async function addTo(jobId: string, [kind, payload]: [kind: string, payload: unknown]): Promise<void> {
  const ines = await personById('0190a000-0000-7000-8000-000000000001');
  if (ines === null) throw new Error('nobody there');
  const entry = { v: newestVersion, id: v7(), jobId, at: new Date().toISOString(), kind, payload };
  await appendEntries(jobId, [entry as never], ines);
}

const newestSet = (job: LoadedJob) =>
  new URLSearchParams({ set: job.state.sets[0]?.id ?? '', from: 'factory-50Hz' });

const contents: Record<DocumentName, (job: LoadedJob) => unknown> = {
  drilling: drillingOf,
  'first-power': loadFirstPowerPlan,
  keys: (job) => loadKeyDocument(job, newestSet(job)),
  'parameter-set': (job) => loadSetDocument(job, newestSet(job)),
  report: async (job) => illustrated(await loadReport(job)),
  'start-up': loadStartUpSheet,
  'static-test': loadStaticSheet,
  'wire-labels': ({ jobId, state }) => {
    if (state.swap.wires.length === 0) throw new HttpError(422, 'no wires');
    return { jobId, labels: labelsOf(state.swap.wires, () => 'X1'), sheet: 'a4-5x13', skip: 3 };
  },
  wires: wireList,
};

const print = (name: DocumentName, content: unknown, job: LoadedJob): Promise<Buffer> =>
  printOrder({ name, content, form: usualForm(job) } as PrintOrder);

/** What poppler says of it. */
const info = (pdf: Buffer): string => execFileSync('pdfinfo', ['-'], { input: pdf, encoding: 'utf8' });
const told = (pdf: Buffer): string =>
  execFileSync('pdftotext', ['-layout', '-', '-'], { input: pdf, encoding: 'utf8' });

beforeAll(async () => {
  await loadDemo();
  await addTo(netDrum, ['swap.units', units]);
  await addTo(winch, [
    'power.planned',
    { way: { by: 'lamps', watts: 100 }, expected_V: 540, stopBelow_V: 400, stopAfter_s: 4 },
  ]);
});

/** A document of each job that has it; a job that lacks what it needs is refused, and left out. */
async function* everyOne(name: DocumentName): AsyncGenerator<{ job: LoadedJob; pdf: Buffer }> {
  for (const { id } of await db().models.Job.findAll({ attributes: ['id'], raw: true })) {
    const job = await jobOrRefusal(id);
    try {
      const content = await contents[name](job);
      yield { job, pdf: await print(name, content, job) };
    } catch (error) {
      if (!(error instanceof HttpError)) throw error;
    }
  }
}

it.each(Object.keys(contents) as DocumentName[])(
  '%s of every demo job is tagged, embeds its fonts and names its log',
  async (name) => {
    let printed = 0;
    for await (const { job, pdf } of everyOne(name)) {
      expect([job.jobId, ...faultsOf(readPdf(pdf))]).toEqual([job.jobId]);
      expect(info(pdf)).toMatch(new RegExp(`Keywords: +log head ${job.headHash}\n`));
      expect(info(pdf)).toMatch(/Tagged: +yes/);
      // The demo has no letter that the fonts lack, and none of ours may be one.
      expect(told(pdf)).not.toMatch(/\[U\+|Unicode number/);
      printed += 1;
    }
    expect(printed).toBeGreaterThan(0);
  },
);

it('letters of names stand as they are written, and what no font has as its Unicode number', async () => {
  const job = await jobOrRefusal(winch);
  const names = 'Ж. Łukasiewicz, Νίκος Ωραίος, Søren Žák';
  const content = {
    ...{ setUp: '', sums: [], stops: [], expected: [], measured: [] },
    title: 'First power',
    identity: [
      ['By', names],
      // A letter and its accent, written apart.
      ['Also', 'Jose\u0301 漢字 🛠'],
    ],
  };
  const pdf = await print('first-power', content, job);
  const text = told(pdf);
  expect(text).toContain(names);
  expect(text).toContain('José [U+6F22][U+5B57] [U+1F6E0]');
  expect(text).toContain('3 letters of this document cannot be printed');
  expect(faultsOf(readPdf(pdf))).toEqual([]);
});

/** A document drawn with pdfkit alone. */
async function drawn(
  options: PDFKit.PDFDocumentOptions,
  draw: (pdf: PDFKit.PDFDocument) => void,
): Promise<Buffer> {
  const pdf = new PDFDocument({ pdfVersion: '1.7', ...options });
  const parts: Buffer[] = [];
  pdf.on('data', (part: Buffer) => parts.push(part));
  const ended = new Promise((done) => pdf.on('end', done));
  draw(pdf);
  pdf.end();
  await ended;
  return Buffer.concat(parts);
}

it('the rules find what is wrong with a plain document', async () => {
  const plain = await drawn({}, (pdf) => pdf.text('no tags').rect(10, 10, 20, 20).fill());
  expect(faultsOf(readPdf(plain))).toEqual([
    'it is not marked as tagged',
    '11-006 its language is not said',
    '07-001 its title is not shown',
    '06-002 it does not say that it is PDF/UA-1',
    '06-003 no title in its metadata',
    '31-009 /Helvetica is not in the file',
    'it has no structure',
  ]);
});

it('and with one whose tags are wrong', async () => {
  const wrong = await drawn({ tagged: true, lang: 'en', displayTitle: true, info: { Title: 'x' } }, (pdf) => {
    const root = pdf.struct('Document');
    pdf.addStructure(root);
    root.add(pdf.struct('H2', {}, () => pdf.text('second first')));
    root.add(pdf.struct('TR', {}, [pdf.struct('TH', {}, () => pdf.text('head'))]));
    root.add(pdf.struct('Figure', {}, () => pdf.rect(10, 10, 20, 20).fill()));
    pdf.rect(50, 50, 5, 5).fill();
  });
  expect(faultsOf(readPdf(wrong))).toEqual([
    '06-002 it does not say that it is PDF/UA-1',
    '31-009 /Helvetica is not in the file',
    '14-003 H2 after H0',
    '09-00x TR in Document',
    '15-003 a head without its scope',
    '13-004 a figure without its alternative',
    '01-003 f is not marked',
  ]);
});
