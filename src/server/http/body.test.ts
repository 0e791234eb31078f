import * as z from 'zod';
import { bodyBytes, bodyText, readJson } from './body';
import { answerTo, HttpError, readBy } from './refusal';

const post = (body: BodyInit, headers: Record<string, string> = {}) =>
  new Request('http://localhost/x', { method: 'POST', body, headers });

describe('a body', () => {
  it('is read up to its weight', async () => {
    expect(await bodyText(post('grün'), 5)).toBe('grün');
    await expect(bodyText(post('grün'), 4)).rejects.toMatchObject({ status: 413 });
    await expect(bodyBytes(post('x', { 'content-length': '99999' }), 10)).rejects.toMatchObject({
      status: 413,
    });
  });

  it('that never ends is not waited for', async () => {
    let sent = 0;
    const endless = new ReadableStream<Uint8Array>({
      pull(controller) {
        sent += 1;
        controller.enqueue(new Uint8Array(1024));
      },
    });
    const request = new Request('http://localhost/x', {
      method: 'POST',
      body: endless,
      duplex: 'half',
    } as RequestInit);
    await expect(bodyBytes(request, 10_000)).rejects.toMatchObject({ status: 413 });
    expect(sent).toBeLessThan(20);
  });

  it('must be UTF-8, JSON, and not too deep', async () => {
    await expect(bodyText(post(new Uint8Array([0x22, 0xff, 0x22])), 10)).rejects.toMatchObject({
      status: 400,
    });
    expect(readJson('{"a":"[[[[\\"]]]]","b":[[1]]}')).toEqual({ a: '[[[["]]]]', b: [[1]] });
    for (const text of ['', '{', 'NaN', '['.repeat(60) + ']'.repeat(60)])
      expect(() => readJson(text)).toThrow(HttpError);
  });
});

describe('what went wrong', () => {
  it('is answered with the first twenty problems, and their fields', () => {
    const schema = z.array(z.number());
    try {
      readBy(schema, Array(5000).fill('x'));
      throw new Error('it was taken');
    } catch (error) {
      const { status, body } = answerTo(error);
      expect(status).toBe(422);
      expect(body.problems).toHaveLength(20);
      expect(body.problems[3]).toMatchObject({ path: '3' });
    }
  });

  it.each([
    ['53100', 503, /disk of the server is full/],
    ['22021', 422, /cannot be stored/],
    ['23505', 409, /conflicts with existing data/],
    ['XX000', 503, /Internal server error/],
  ])('in the database (%s) is said without our insides', (code, status, words) => {
    const error = Object.assign(new Error('INSERT INTO entries … /var/lib'), { parent: { code } });
    expect(answerTo(error).status).toBe(status);
    expect(answerTo(error).body.error).toMatch(words);
    expect(JSON.stringify(answerTo(error))).not.toMatch(/INSERT|var/);
  });
});
