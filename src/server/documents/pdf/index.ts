export { face } from './fonts';
export { IdentityLines, PdfDocument, PdfList, PdfSection, PdfTable, Text, s, utcTime } from './kit';
export { renderDocument, type PdfElement, type Wording } from './render';
export { tagged } from './tags';
