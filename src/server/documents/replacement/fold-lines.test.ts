import fc from 'fast-check';
import ICAL from 'ical.js';
import { foldLines } from './fold-lines';

// RFC 5545, 3.1: lines of 75 octets at most, letters never cut; read back by ical.js.
it('no line has more than 75 octets, and a reader gets the same text', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', minLength: 1, maxLength: 200 }), (text) => {
      const summary = `x${text.replace(/[\p{C}\p{Z}\\;,]/gu, '-')}`;
      const folded = foldLines(
        `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nSUMMARY:${summary}\r\nEND:VEVENT\r\nEND:VCALENDAR`,
      );
      for (const line of folded.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
      const read = new ICAL.Component(ICAL.parse(folded) as never[]).getFirstSubcomponent('vevent');
      expect(read?.getFirstPropertyValue('summary')).toBe(summary);
    }),
  );
});

it('a calendar that was folded by signs is folded anew', () => {
  const long = `SUMMARY:${'Ä'.repeat(70)}`;
  const folded = foldLines(`${long.slice(0, 74)}\r\n ${long.slice(74)}`);
  expect(folded.split('\r\n')).toHaveLength(2);
  expect(folded.replace(/\r\n /g, '')).toBe(long);
});
