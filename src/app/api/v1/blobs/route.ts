import { HttpError } from '@/server/http/border';
import { jsonRoute } from '@/server/http/route';
import { heaviestPhoto, keepPhoto } from '@/server/logbook/blobs';

/** Keeps a photograph, scaled and without metadata; answers with its address. */
export const POST = jsonRoute('POST /api/v1/blobs', async ({ request }) => {
  const bytes = Buffer.from(await request.arrayBuffer());
  if (bytes.length > heaviestPhoto) throw new HttpError(413, 'A photograph may weigh at most 25 MB.');
  try {
    return { sha256: await keepPhoto(bytes) };
  } catch (error) {
    if (/unsupported image|Input (buffer|file)|pixel limit|corrupt/i.test(String(error)))
      throw new HttpError(422, 'This is not a picture that can be read. Take it again as JPEG or PNG.');
    throw error;
  }
});
