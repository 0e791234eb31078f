/**
 * What a document must be so that software can read it aloud: rules of PDF/UA-1 (ISO 14289-1), by the numbers that the
 * Matterhorn protocol 1.02 gives them (from memory), as far as they can be told without a person.
 */
import { operatorsOf, type PdfFile, type Value } from './reader';

/** An element of the structure with what is below it. */
interface Element {
  role: string;
  alt: string | null;
  scope: string | null;
  /** Marked content of a page. */
  marks: { page: string; mcid: number }[];
  children: Element[];
}

const roles = ['Document', 'H1', 'H2', 'H3', 'P', 'Table', 'TR', 'TH', 'TD', 'L', 'LI', 'LBody', 'Figure'];
/** What must stand directly above, and below. */
const above: Readonly<Record<string, readonly string[]>> = {
  TR: ['Table'],
  TH: ['TR'],
  TD: ['TR'],
  LI: ['L'],
  LBody: ['LI'],
};
const below: Readonly<Record<string, readonly string[]>> = {
  Table: ['TR'],
  TR: ['TH', 'TD'],
  L: ['LI'],
  LI: ['LBody'],
};

/** The structure of a PDF; null where it has none. */
export function structureOf(pdf: PdfFile): Element | null {
  const { '/StructTreeRoot': root } = pdf.catalogue;
  if (root === undefined) return null;
  const element = (v: Value): Element => {
    const { '/S': role, '/Alt': alt, '/A': attributes, '/Pg': own, '/K': kids } = pdf.dictionary(v);
    const made: Element = {
      role: String(role).slice(1),
      alt: pdf.text(alt),
      scope: pdf
        .list(attributes)
        .flatMap((a) => pdf.text(pdf.dictionary(a)['/Scope']) ?? [])
        .join(),
      marks: [],
      children: [],
    };
    for (const kid of pdf.list(kids)) {
      const found = pdf.at(kid);
      if (typeof found === 'number') made.marks.push({ page: String(own), mcid: found });
      else {
        const entry = pdf.dictionary(kid);
        if (entry['/Type'] === '/MCR')
          made.marks.push({ page: String(entry['/Pg']), mcid: Number(entry['/MCID']) });
        else made.children.push(element(kid));
      }
    }
    return made;
  };
  const [top, ...others] = pdf.list(pdf.dictionary(root)['/K']);
  return top === undefined || others.length > 0 ? null : element(top);
}

const everyElement = (top: Element): Element[] => [top, ...top.children.flatMap(everyElement)];

/** Operators that put something on the page. */
const paints = new Set(['f', 'F', 'f*', 'B', 'B*', 'b', 'b*', 'S', 's', 'sh', 'Do', 'Tj', 'TJ', "'", '"']);

/** What is wrong with the marks of a page: content outside of them, or marks that no element has. */
function faultsOfPage(pdf: PdfFile, page: string, owned: readonly number[]): string[] {
  const faults: string[] = [];
  const content = pdf
    .list(pdf.dictionary(page)['/Contents'])
    .map((part) => pdf.stream(part))
    .join('\n');
  const open: ('artifact' | number)[] = [];
  const seen: number[] = [];
  let inText = false;
  for (const { name, operands } of operatorsOf(content)) {
    if (name === 'BT' || name === 'ET') inText = name === 'BT';
    if (name === 'BDC' || name === 'BMC') {
      if (inText) faults.push('marks cross a text object');
      const mcid = /\/MCID (\d+)/.exec(operands)?.[1];
      if (open.length > 0) faults.push('01-001 an artifact inside of tagged content, or the other way round');
      if (mcid === undefined && !operands.startsWith('/Artifact'))
        faults.push(`01-003 ${operands} is neither`);
      open.push(mcid === undefined ? 'artifact' : Number(mcid));
      if (mcid !== undefined) seen.push(Number(mcid));
    } else if (name === 'EMC') open.pop();
    else if (paints.has(name) && open.length === 0) faults.push(`01-003 ${name} is not marked`);
  }
  if (open.length > 0) faults.push('marks are left open');
  const sorted = (ids: readonly number[]) => [...ids].sort((a, b) => a - b).join();
  if (sorted(seen) !== sorted(owned)) faults.push('01-005 marks and elements differ');
  return faults;
}

function faultsOfStructure(top: Element): string[] {
  const faults: string[] = [];
  let level = 0;
  const visit = (element: Element, parent: string | null): void => {
    const { role, alt, scope, children } = element;
    if (!roles.includes(role)) faults.push(`02-001 ${role} is no standard role here`);
    if (above[role]?.includes(parent ?? '') === false) faults.push(`09-00x ${role} in ${parent}`);
    for (const child of children)
      if (below[role]?.includes(child.role) === false) faults.push(`09-00x ${child.role} below ${role}`);
    if (role === 'Figure' && (alt ?? '') === '') faults.push('13-004 a figure without its alternative');
    if (role === 'TH' && scope === '') faults.push('15-003 a head without its scope');
    const heading = /^H(\d)$/.exec(role)?.[1];
    if (heading !== undefined) {
      if (Number(heading) > level + 1) faults.push(`14-003 H${heading} after H${level}`);
      level = Number(heading);
    }
    children.forEach((child) => visit(child, role));
  };
  visit(top, null);
  return faults;
}

function faultsOfFonts(pdf: PdfFile): string[] {
  const fonts = pdf.all.filter((d) => d['/Type'] === '/Font');
  const faults = fonts.flatMap((font) => {
    const name = String(font['/BaseFont']);
    if (font['/Subtype'] === '/Type0')
      return font['/ToUnicode'] === undefined ? [`10-001 ${name} does not tell its letters`] : [];
    const described = font['/FontDescriptor'];
    const descriptor = described === undefined ? {} : pdf.dictionary(described);
    return ['/FontFile', '/FontFile2', '/FontFile3'].some((f) => f in descriptor)
      ? []
      : [`31-009 ${name} is not in the file`];
  });
  return fonts.length === 0 ? [...faults, 'there is no font'] : faults;
}

function faultsOfCatalogue(pdf: PdfFile): string[] {
  const { catalogue } = pdf;
  const faults: string[] = [];
  const has = (key: string) => catalogue[key] !== undefined;
  if (!has('/MarkInfo') || pdf.dictionary(catalogue['/MarkInfo'])['/Marked'] !== true)
    faults.push('it is not marked as tagged');
  if ((pdf.text(catalogue['/Lang']) ?? '') === '') faults.push('11-006 its language is not said');
  if (
    !has('/ViewerPreferences') ||
    pdf.dictionary(catalogue['/ViewerPreferences'])['/DisplayDocTitle'] !== true
  )
    faults.push('07-001 its title is not shown');
  const xmp = has('/Metadata') ? pdf.stream(catalogue['/Metadata']) : '';
  if (!/<pdfuaid:part>1</.test(xmp)) faults.push('06-002 it does not say that it is PDF/UA-1');
  if (!/<dc:title>[\s\S]*?<rdf:li[^>]*>[^<]+</.test(xmp)) faults.push('06-003 no title in its metadata');
  return faults;
}

/** Everything that is wrong with a PDF, by rule; none: software can read it. */
export function faultsOf(pdf: PdfFile): string[] {
  const top = structureOf(pdf);
  if (top === null) return [...faultsOfCatalogue(pdf), ...faultsOfFonts(pdf), 'it has no structure'];
  const marks = everyElement(top).flatMap((e) => e.marks);
  return [
    ...faultsOfCatalogue(pdf),
    ...faultsOfFonts(pdf),
    ...faultsOfStructure(top),
    ...pdf.pages.flatMap((page) =>
      faultsOfPage(
        pdf,
        page,
        marks.filter((m) => m.page === page).map((m) => m.mcid),
      ),
    ),
  ];
}
