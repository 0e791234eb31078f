import { findNodeAtLocation, parseTree, printParseErrorCode, type ParseError } from 'jsonc-parser';
import type * as z from 'zod';

/** What is wrong with a file that a person wrote, and where. */
export interface FileProblem {
  /** From 1. */
  line: number;
  /** Place in the data, e.g. "parameters.3.default"; empty for the file itself. */
  path: string;
  message: string;
}

type Path = (string | number)[];

const lineAt = (text: string, offset: number): number => text.slice(0, offset).split('\n').length;

/** The deepest part of a path that is really in the file. */
function offsetOf(root: ReturnType<typeof parseTree>, path: Path): number {
  for (let depth = path.length; depth > 0 && root !== undefined; depth -= 1) {
    const node = findNodeAtLocation(root, path.slice(0, depth));
    // The key stands before its value, on the line one looks for.
    if (node !== undefined) return node.parent?.type === 'property' ? node.parent.offset : node.offset;
  }
  return root?.offset ?? 0;
}

/** A key too many is reported at its own line, not at the object's. */
const placesOf = (issue: z.core.$ZodIssue): Path[] => {
  const path = issue.path.filter((p): p is string | number => typeof p !== 'symbol');
  return issue.code === 'unrecognized_keys' ? issue.keys.map((key) => [...path, key]) : [path];
};

/**
 * Reads a JSON file that a person wrote against its schema, telling every problem with its line.
 * @returns the value, or the problems from the top of the file down
 */
export function checkFile<S extends z.ZodType>(
  text: string,
  schema: S,
): { value: z.output<S> } | { problems: FileProblem[] } {
  const faults: ParseError[] = [];
  const root = parseTree(text, faults, { disallowComments: true, allowTrailingComma: false });
  if (faults.length > 0 || root === undefined)
    return {
      problems: faults.slice(0, 20).map(({ error, offset }) => ({
        line: lineAt(text, offset),
        path: '',
        message: `invalid JSON here: ${printParseErrorCode(error)}`,
      })),
    };
  const parsed = schema.safeParse(JSON.parse(text));
  if (parsed.success) return { value: parsed.data };
  return {
    problems: parsed.error.issues
      .flatMap((issue) =>
        placesOf(issue).map((path) => ({
          line: lineAt(text, offsetOf(root, path)),
          path: path.join('.'),
          message:
            issue.code === 'unrecognized_keys'
              ? 'unknown key'
              : findNodeAtLocation(root, path) === undefined
                ? `missing: ${issue.message.replace(/, received undefined$/, '')}`
                : issue.message,
        })),
      )
      .sort((a, b) => a.line - b.line),
  };
}
