import { oneLine, withoutEnd } from '../../text';
import { joinLines } from './lines';

/** A choice as a manual lists it. */
export interface ReadChoice {
  value: number;
  name: string;
}

/** The value that a choice begins with, in a text of single spaces. */
const inBrackets = /^[[(] ?(\d{1,5}) ?[\])] ?[:=–—.-]? ?(\S.*)$/;
const before = /^(\d{1,5})(?: ?[:=] ?| [–—-] |[–—] |\. |\) )(\S.*)$/;
const bare = /^(\d{1,3}) ([^\s\d.,–—-].*)$/;
/** Where the next choice of one line begins. */
const inLine =
  /(?:^|[ ;,/|])(?=[[(] ?\d{1,5} ?[\])] ?[:=–—-]? ?[^ \d]|\d{1,5} ?[:=] ?[^ \d]|\d{1,5} [–—-] [^ \d]|[[(] ?\d{1,5} ?[\])] ?\d|\d{1,5} ?[:=] ?\d)/;

const tidy = (name: string): string => oneLine(withoutEnd(oneLine(name), ';,|/'));

/** Longer lines are no cells of a table. */
const longestLine = 4000;

/** Values rise, or at least none comes twice: else it is no list. */
const isList = (choices: readonly ReadChoice[]): boolean =>
  choices.length >= 2 &&
  new Set(choices.map((c) => c.value)).size === choices.length &&
  choices.every((c) => /[A-Za-z\d%±]/.test(c.name) && c.name.length <= 120);

/** What follows a list is not of its last choice. */
const afterList = / (?:default|factory setting|range|note|unit) ?[:=].*$/i;

type Begin = (line: string) => ReadChoice | null;

const begun = (found: RegExpExecArray | null): ReadChoice | null =>
  found === null ? null : { value: Number(found[1]), name: tidy(found[2] ?? '') };
const marked: Begin = (line) => begun(inBrackets.exec(line) ?? before.exec(line));
const unmarked: Begin = (line) => begun(bare.exec(line));

function byLines(lines: readonly string[], begin: Begin): ReadChoice[] {
  const choices: ReadChoice[] = [];
  for (const line of lines) {
    const choice = begin(line);
    const last = choices.at(-1);
    if (choice !== null) choices.push(choice);
    else if (last !== undefined)
      choices[choices.length - 1] = { ...last, name: tidy(joinLines([last.name, line])) };
  }
  return choices;
}

const inOneLine = (text: string): ReadChoice[] =>
  text.split(inLine).flatMap((part) => marked(part.trim()) ?? []);

/**
 * The choices that a cell lists, line by line or in one: "0: off; 1: on", "[0] Off [1] On", "0 = no".
 * @param lines the lines of the cell
 * @returns empty where the cell lists none
 */
export function choicesIn(lines: readonly string[]): ReadChoice[] {
  const plain = lines.map(oneLine).filter((line) => line.length <= longestLine);
  const listed = [marked, unmarked].flatMap((begin) => {
    const choices = byLines(plain, begin);
    const count = plain.filter((line) => begin(line) !== null).length;
    return isList(choices) && (count >= 2 || plain.length === 1) ? [choices] : [];
  });
  const inline = inOneLine(joinLines(plain).replace(afterList, ''));
  return (
    [...listed.slice(0, 1), ...(isList(inline) ? [inline] : [])].sort((a, b) => b.length - a.length)[0] ?? []
  );
}
