'use client';
import { useEffect, useState } from 'react';
import type { Person } from '@/core/logbook';
import type { DraftParameter, TypeDraft } from '@/core/reading/type-draft';
import { CardPage } from '../../kit/card-page';
import { FileButton } from '../../kit/file-button';
import { Notice } from '../../kit/notice';
import { Text } from '../../kit/text';
import { isPdf, keepManual, manualOf } from './manual-store';
import { PageView } from './page-view';
import { givenOf, rangeOf } from './parameter-words';

/** Where one parameter stands in the manual: its page with a frame around the row, and what was read there. */
export function ManualPlace({
  draft: { id, maker, range, source },
  parameter,
  people,
  person,
}: {
  draft: Pick<TypeDraft, 'id' | 'maker' | 'range' | 'source'>;
  parameter: DraftParameter;
  people: readonly Person[];
  person: Person;
}) {
  /** Undefined: not looked for yet. */
  const [manual, setManual] = useState<Blob | null | undefined>(undefined);
  useEffect(() => {
    void manualOf(id).then(setManual);
  }, [id]);
  const take = (file: File) => {
    setManual(file);
    void keepManual(id, file);
  };
  return (
    <CardPage
      title={`${parameter.number} ${parameter.name}`}
      about={`${maker} ${range}, page ${parameter.page} of ${source}. Compare with the page before you use it.`}
      people={people}
      person={person}
    >
      <Text mb="3">
        {[
          rangeOf(parameter) !== '' && `Range or choices: ${rangeOf(parameter)}.`,
          givenOf(parameter) !== '' && `Factory: ${givenOf(parameter)}.`,
        ]
          .filter((part) => part !== false)
          .join(' ')}
      </Text>
      {manual === undefined && <Text role="status">Looking for the manual on this device…</Text>}
      {manual === null && (
        <Notice tone="doubt" headline="The manual is not on this device">
          <Text mb="2">
            It stays on the device that read it. Choose {source} once, and its pages are here, too.
          </Text>
          <FileButton label="Choose manual" said="Manual, PDF" accept=".pdf" take={take} />
        </Notice>
      )}
      {manual instanceof Blob &&
        (isPdf(manual) ? (
          <PageView manual={manual} page={parameter.page} box={parameter.box} tall />
        ) : (
          <Notice tone="failed" headline="This file is not a PDF">
            Its pages cannot be shown.
          </Notice>
        ))}
    </CardPage>
  );
}
