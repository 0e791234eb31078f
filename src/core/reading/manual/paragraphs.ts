import { boxAround, heightOf, type Line } from '../table-text';
import { withoutEnd } from '../../text';
import { choicesIn } from './choices';
import type { ManualEntry } from './entry';
import { roleOfHead, type Role } from './heads';
import { isParameterNumber, tidyNumber } from './numbers';
import { entryFrom, numberAndName, type RowByRole } from './table-entries';

interface Block {
  number: string;
  name: string;
  lines: Line[];
  heading: string | null;
}

/** Number and name that begin a block: in one text, or as two with a gap between. */
function headingOf(line: Line): { number: string; name: string } | null {
  const [first, second] = line.segments;
  if (first === undefined) return null;
  if (second !== undefined && isParameterNumber(first.text) && /[A-Za-z]{2}/.test(second.text))
    return { number: tidyNumber(first.text), name: second.text };
  return numberAndName(first.text);
}

const label = /([A-Za-z][A-Za-z./ ]{0,24}?(?:\s*\(?(?:50|60)\s?Hz\)?)?)\s*[:=]\s*/g;

/** Parts of a text that begin with a label we know: "Range: 0–400 Hz  Default: 50 Hz". */
function labelled(text: string): { role: Role; text: string }[] {
  const found = [...text.matchAll(label)].flatMap((match) => {
    const words = (match[1] ?? '').trim().split(/\s+/);
    // The label may have ordinary words before it on the line.
    for (let skip = 0; skip < words.length; skip += 1) {
      const role = roleOfHead(words.slice(skip).join(' '));
      if (role !== undefined) {
        const offset = (match[1] ?? '').lastIndexOf(words.slice(skip).join(' '));
        return [{ role, from: match.index + Math.max(offset, 0), to: match.index + match[0].length }];
      }
    }
    return [];
  });
  return found.map(({ role, to }, i) => ({
    role,
    text: withoutEnd(text.slice(to, found[i + 1]?.from ?? text.length), ';,|·• ').trim(),
  }));
}

const fieldRoles: readonly Role[] = [
  'range',
  'min',
  'max',
  'unit',
  'default',
  'default-50',
  'default-60',
  'choices',
  'register',
];

/** The fields of a block, by their labels: behind a colon, or in the next text of the line. */
function fieldsOf(lines: readonly Line[]): Map<Role, string[]> {
  const fields = new Map<Role, string[]>();
  let open: Role | null = null;
  for (const { segments } of lines) {
    let told = false;
    for (let i = 0; i < segments.length; i += 1) {
      const text = segments[i]?.text ?? '';
      const parts = labelled(text).filter(({ role }) => fieldRoles.includes(role));
      const alone = parts.length === 0 ? roleOfHead(text.replace(/[:=]$/, '')) : undefined;
      const next = segments[i + 1]?.text;
      if (parts.length > 0) {
        for (const part of parts) {
          const value = part.text === '' && next !== undefined ? next : part.text;
          if (!fields.has(part.role)) fields.set(part.role, value === '' ? [] : [value]);
          open = part.role;
        }
        told = true;
      } else if (alone !== undefined && fieldRoles.includes(alone) && next !== undefined) {
        if (!fields.has(alone)) fields.set(alone, [next]);
        open = alone;
        told = true;
        i += 1;
      }
    }
    // What is below "Choices:" goes on with it.
    if (!told && open !== null && (open === 'choices' || open === 'range'))
      fields.get(open)?.push(segments.map((s) => s.text).join(' '));
  }
  return fields;
}

function entryOf({ number, name, lines, heading }: Block, page: number): ManualEntry | null {
  const [first, ...rest] = lines;
  if (first === undefined) return null;
  const fields = fieldsOf([{ ...first, segments: first.segments.slice(1) }, ...rest]);
  const texts = rest.map((line) => line.segments.map((s) => s.text).join(' '));
  const listed = choicesIn(texts.filter((text) => labelled(text).length === 0));
  if (!fields.has('choices') && listed.length > 0)
    fields.set(
      'choices',
      listed.map((c) => `${c.value}: ${c.name}`),
    );
  if (![...fields.keys()].some((role) => role !== 'register')) return null;
  const row: RowByRole = new Map<Role, string[]>([...fields, ['number', [number]], ['name', [name]]]);
  return entryFrom(row, { page, group: heading, box: boxAround(lines) });
}

/**
 * Parameters that a manual describes in paragraphs: a line with number and name, and below it what can be set.
 * @param loose runs of lines that are in no table
 */
export function entriesInParagraphs(loose: readonly (readonly Line[])[], page: number): ManualEntry[] {
  return loose.flatMap((lines) => {
    const blocks: Block[] = [];
    let heading: string | null = null;
    for (const line of lines) {
      const head = headingOf(line);
      const block = blocks.at(-1);
      const last = block?.lines.at(-1);
      const far =
        last !== undefined &&
        (line.y0 - last.y1 > 3 * heightOf(line) || heightOf(line) > 1.15 * heightOf(block?.lines[0] ?? line));
      if (head !== null && !(block !== undefined && isChoiceOf(block, line)))
        blocks.push({ ...head, lines: [line], heading });
      else if (block !== undefined && !far) block.lines.push(line);
      else heading = line.segments[0]?.text ?? null;
    }
    return blocks.flatMap((block) => entryOf(block, page) ?? []);
  });
}

/** A line such as "0  Keypad" below a parameter is one of its choices, not a parameter "0". */
function isChoiceOf(block: Block, line: Line): boolean {
  const own = tidyNumber(block.number);
  const [first] = (line.segments[0]?.text ?? '').split(/\s/);
  return !/^\d+$/.test(own) && /^[[(]?\d{1,3}[\])]?[:=.]?$/.test(first ?? '');
}
