const typeOf: Readonly<Record<string, string>> = {
  csv: 'text/csv',
  json: 'application/json',
  jsonl: 'application/x-ndjson',
};

/** Hands a text over as a file, also with the server away. */
export function saveText(name: string, text: string): void {
  const type = typeOf[name.slice(name.lastIndexOf('.') + 1)] ?? 'text/plain';
  saveFile(name, new Blob([text], { type: `${type};charset=utf-8` }));
}

/** Hands a file over. */
export function saveFile(name: string, content: Blob): void {
  const address = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}
