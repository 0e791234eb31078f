'use client';
import { Box } from '@chakra-ui/react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { DriveType } from '@/core/equipment/catalogue';
import type { Person } from '@/core/logbook';
import { Broken } from '../../kit/broken';
import { Secondary } from '../../kit/buttons';
import { CardPage } from '../../kit/card-page';
import { FieldGrid } from '../../kit/section';
import { Select } from '../../kit/field';
import { TypeSheet } from './type-sheet';
import { Upload } from './upload';
import { Text } from '../../kit/text';

/** The manual that is never the right one: what is known of each type, and how to add one. */
export function CataloguePage({
  types,
  broken,
  people,
  person,
}: {
  types: readonly DriveType[];
  /** Types of the workshop's own that cannot be read, and why. */
  broken: readonly string[];
  people: readonly Person[];
  person: Person;
}) {
  const router = useRouter();
  const [chosen, setChosen] = useState(types[0]?.id ?? '');
  const type = types.find((t) => t.id === chosen);
  return (
    <CardPage
      title="Drive types"
      about="Parameters, faults, terminals, fuses and torques of every type in the catalogue."
      people={people}
      person={person}
    >
      <Broken what="type" items={broken} />
      <Box mb="4">
        <Secondary asChild>
          <Link href="/drive-types/manual">Read a manual</Link>
        </Secondary>
      </Box>
      <FieldGrid min="260px">
        <Select
          label="Type"
          value={chosen}
          onChange={setChosen}
          options={types.map((t) => ({ value: t.id, label: `${t.maker} ${t.range}` }))}
        />
      </FieldGrid>
      {type !== undefined && (
        <Box mb="4">
          <Secondary asChild>
            <Link href={`/drive-types/edit?type=${type.id}`}>
              Edit {type.maker} {type.range}
            </Link>
          </Secondary>
        </Box>
      )}
      {type === undefined ? <Text>The catalogue is empty.</Text> : <TypeSheet key={type.id} type={type} />}
      <Upload
        lead={person.role === 'lead'}
        added={(id) => {
          setChosen(id);
          router.refresh();
        }}
      />
    </CardPage>
  );
}
