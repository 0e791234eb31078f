/** What people read in our code: strings and JSX text of more than one word. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

/** A text and where it stands. */
export interface VisibleText {
  file: string;
  line: number;
  text: string;
}

const sources = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === '__tests__' ? [] : sources(path);
    return /\.tsx?$/.test(path) && !/\.test\.tsx?$/.test(path) ? [path] : [];
  });

const isProse = (text: string): boolean => /[A-Za-z]{2,}\S*\s+\S*[A-Za-z]/.test(text);

/** Attributes whose text is read or heard, however short it is. */
const readAttributes = new Set(['label', 'title', 'hint', 'aria-label', 'placeholder', 'name', 'said']);

function isRead(node: ts.Node, text: string): boolean {
  if (ts.isJsxText(node)) return /[A-Za-z]{2,}/.test(text);
  if (ts.isJsxAttribute(node.parent)) return readAttributes.has(node.parent.name.getText()) || isProse(text);
  return isProse(text);
}

function textOf(node: ts.Node): string | null {
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node) || ts.isJsxText(node))
    return node.text;
  return ts.isTemplateExpression(node) ? node.getText() : null;
}

/** Every text that people read in some folders, tests left out. */
export const visibleTexts = (folders: readonly string[]): VisibleText[] =>
  folders.flatMap(sources).flatMap((file) => {
    const kind = file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
    const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true, kind);
    const found: VisibleText[] = [];
    const visit = (node: ts.Node): void => {
      if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return;
      const text = textOf(node)?.replace(/\s+/g, ' ');
      if (text !== undefined && isRead(node, text)) {
        const line = source.getLineAndCharacterOfPosition(node.getStart()).line + 1;
        found.push({ file, line, text });
      }
      ts.forEachChild(node, visit);
    };
    visit(source);
    return found;
  });
