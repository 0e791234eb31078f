/** A text somewhere in what an entry carries. */
export interface PayloadText {
  path: readonly string[];
  text: string;
}

/** Every text and figure in a value, each with where it is, so that it can be edited without its form. */
export function textsOf(value: unknown, path: readonly string[] = []): PayloadText[] {
  if (typeof value === 'string' || typeof value === 'number') return [{ path, text: String(value) }];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => textsOf(inner, [...path, key]));
}

/** The value with one of them changed; a figure stays one where it can be read. */
export function withText(value: unknown, { path: [key, ...rest], text }: PayloadText): unknown {
  if (key === undefined) {
    const figure = Number(text);
    return typeof value === 'number' && text.trim() !== '' && Number.isFinite(figure) ? figure : text;
  }
  const put = (inner: unknown) => withText(inner, { path: rest, text });
  if (Array.isArray(value)) return value.map((inner: unknown, i) => (String(i) === key ? put(inner) : inner));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([k, inner]) => [k, k === key ? put(inner) : inner]));
}
