import { firstPowerPdf } from './first-power';
import { keyPdf, setPdf } from './parameter-sets/pdf';
import { drillingPdf } from './replacement/drilling';
import { labelsPdf } from './replacement/labels';
import { wireListPdf } from './replacement/wire-list';
import { reportPdf } from './report/pdf';
import { startUpPdf } from './start-up-sheet/pdf';
import { sheetPdf } from './static-sheet/pdf';

/** Every paper that is printed, by the name of its file. What goes in is plain data: it comes from another thread. */
export const papers = {
  drilling: drillingPdf,
  'first-power': firstPowerPdf,
  keys: keyPdf,
  'parameter-set': setPdf,
  report: reportPdf,
  'start-up': startUpPdf,
  'static-test': sheetPdf,
  'wire-labels': labelsPdf,
  wires: wireListPdf,
};

export type PaperName = keyof typeof papers;
export type PaperSize = 'a4' | 'letter';
/** What a paper is made of. */
export type PaperContent<Name extends PaperName> = Parameters<(typeof papers)[Name]>[0];

/** One paper, as it is sent to the thread that prints. */
export type PaperOrder = {
  [Name in PaperName]: { paper: Name; content: PaperContent<Name>; size: PaperSize };
}[PaperName];
