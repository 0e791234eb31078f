/** Manuals stay on this device, by the draft that was made of them, so that their pages can be looked at later. */
const storeName = 'manuals';
const addressOf = (draftId: string): string => `/manuals/${draftId}`;

/** Is it a PDF, whose pages can be shown? */
export const isPdf = (file: Blob & { name?: string }): boolean =>
  file.type === 'application/pdf' || (file.name ?? '').toLowerCase().endsWith('.pdf');

/** Keeps a manual; without room or a store (plain http from elsewhere) it is there until the page is left. */
export async function keepManual(draftId: string, file: Blob): Promise<void> {
  if (!('caches' in window)) return;
  await caches
    .open(storeName)
    .then((store) => store.put(addressOf(draftId), new Response(file)))
    .catch(() => undefined);
}

/** The manual of a draft; null where this device does not have it. */
export async function manualOf(draftId: string): Promise<Blob | null> {
  if (!('caches' in window)) return null;
  const found = await caches.match(addressOf(draftId)).catch(() => undefined);
  return found === undefined ? null : found.blob();
}
