/**
 * Do lists and objects of a JSON text stand deeper in each other than that? Brackets in its texts do not count. Asked before it
 * is parsed: what is nested too deep breaks whatever walks down it.
 */
export function isNestedBeyond(text: string, most: number): boolean {
  let depth = 0;
  let quoted = false;
  for (let i = 0; i < text.length; i += 1) {
    const sign = text[i];
    if (quoted) {
      if (sign === '\\') i += 1;
      else if (sign === '"') quoted = false;
    } else if (sign === '"') quoted = true;
    else if (sign === '[' || sign === '{') {
      depth += 1;
      if (depth > most) return true;
    } else if (sign === ']' || sign === '}') depth -= 1;
  }
  return false;
}
