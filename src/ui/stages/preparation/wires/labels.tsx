import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { FileLink } from '../../../kit/file-link';
import { Secondary } from '../../../kit/buttons';
import { FieldGrid, Section } from '../../../kit/section';
import { NumberField, Select } from '../../../kit/field';
import { keysOf } from '@/core/numerics/arrays';
import { Text } from '../../../kit/text';

export const labelSheetNames = {
  'a4-3x8': 'A4, 3 × 8 labels of 70 × 37 mm',
  'a4-5x13': 'A4, 5 × 13 labels of 38 × 21 mm',
  'letter-3x10': 'Letter, 3 × 10 labels of 66.7 × 25.4 mm',
} as const;
type SheetId = keyof typeof labelSheetNames;

/** Labels for both ends of every wire, with a code that the app's camera page or any reader takes. */
export function Labels({ jobId, wires }: { jobId: string; wires: number }) {
  const [sheet, setSheet] = useState<SheetId>('a4-3x8');
  const [skip, setSkip] = useState('0');
  const skipped = /^\d{1,2}$/.test(skip.trim()) ? Number(skip) : null;
  return (
    <Section title="Labels">
      <Text mb="2">
        Two labels per wire, one for each end: wire number, drawing number, old and new terminal.
      </Text>
      <FieldGrid min="220px">
        <Select
          label="Label sheet"
          value={sheet}
          onChange={setSheet}
          options={keysOf(labelSheetNames).map((value) => ({
            value,
            label: labelSheetNames[value],
          }))}
        />
        <NumberField
          label="Labels already used on the first sheet"
          text={skip}
          error={skipped === null ? 'A whole number, 0 to 99' : undefined}
          set={setSkip}
        />
      </FieldGrid>
      <Box display="flex" gap="2" flexWrap="wrap">
        {skipped !== null && (
          <FileLink href={`/api/v1/jobs/${jobId}/wire-labels?sheet=${sheet}&skip=${skipped}`}>
            Labels, PDF ({2 * wires})
          </FileLink>
        )}
        <FileLink href={`/api/v1/jobs/${jobId}/wires?form=pdf`}>Wire list, PDF</FileLink>
        <FileLink href={`/api/v1/jobs/${jobId}/wires?form=csv`}>Wire list, CSV</FileLink>
        <Secondary asChild>
          <a href="/scan">Find a wire by its label</a>
        </Secondary>
      </Box>
    </Section>
  );
}
