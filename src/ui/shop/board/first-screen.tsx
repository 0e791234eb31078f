'use client';
import { Box } from '@chakra-ui/react';
import { Fragment, useState } from 'react';
import type { Stage } from '@/core/equipment/power-stage';
import { unlabelledDrive, type Person, type StageId } from '@/core/logbook';
import { Secondary } from '../../kit/buttons';
import { CardPage } from '../../kit/card-page';
import { Caution } from '../../kit/caution';
import { TextField } from '../../kit/field';
import { FrontEndPicture, frontEnds, frontEndWords } from '../../kit/front-end-picture';
import { FieldGrid, Section } from '../../kit/section';
import { Text } from '../../kit/text';
import { useOpenJob } from './use-open-job';

/** Where an answer leads: a stage of the job that is made on the way. */
interface Way {
  says: string;
  stage: StageId;
  /** Chosen by its picture, and taken down: the label may follow. */
  frontEnd?: Stage['frontEnd'];
}

/** Straight to the power stage of a unit of which only the terminals are seen. */
const byPicture: readonly Way[] = frontEnds.map((frontEnd) => ({
  says: frontEndWords[frontEnd].name,
  stage: 'make-safe',
  frontEnd,
}));

interface Front {
  name: string;
  about: string;
  /** It commits somebody: there is a job, named or not. */
  needsJob?: true;
  /** The stage it leads to, or what is asked first. */
  leads: StageId | { asks: string; ways: readonly Way[] };
}

/** Common practice, no source: what a drive in front of somebody asks for. */
const fronts: readonly Front[] = [
  {
    name: 'Dead or damaged',
    about: 'Dark display, a bang, a blown fuse',
    leads: {
      asks: 'What is there to see or smell?',
      ways: [
        { says: 'Dark, nothing else', stage: 'trace' },
        { says: 'Fuse blown, burnt or a bang: measure', stage: 'identify' },
      ],
    },
  },
  {
    name: 'Fault code',
    about: 'The display shows a fault, or its log does',
    leads: 'trace',
  },
  {
    name: 'Won’t run, no fault',
    about: 'It has power and shows no fault',
    leads: 'trace',
  },
  {
    name: 'New motor or settings',
    about: 'Commissioning, ramps, parameter sets',
    leads: 'identify',
  },
  {
    name: 'Replace a unit',
    about: 'Another unit in its place',
    needsJob: true,
    leads: {
      asks: 'Is the new unit chosen?',
      ways: [
        { says: 'Not yet', stage: 'decide' },
        { says: 'It is here: nameplates first', stage: 'identify' },
      ],
    },
  },
  {
    name: 'Just measure',
    about: 'Power stage, motor, cable',
    leads: {
      asks: 'What is measured?',
      ways: [
        ...byPicture,
        { says: 'Power stage, label first', stage: 'identify' },
        { says: 'Motor and cable', stage: 'motor' },
      ],
    },
  },
];

/** A front end to choose by what is seen of it. */
function Pictured({ frontEnd }: { frontEnd: Stage['frontEnd'] }) {
  const { name, about } = frontEndWords[frontEnd];
  return (
    <Box as="span" display="block" maxW="190px" whiteSpace="normal">
      <FrontEndPicture frontEnd={frontEnd} />
      <Text as="span" display="block" fontWeight="600">
        {name}
      </Text>
      <Text as="span" display="block" color="soft" fontWeight="400" fontSize="0.9rem">
        {about}
      </Text>
    </Box>
  );
}

/** What is in front of you? Two answers later the right tool is open, with a job made on the way, or on a loose sheet. */
export function FirstScreen({ people, person }: { people: readonly Person[]; person: Person }) {
  const { open, busy, trouble } = useOpenJob();
  const [chosen, setChosen] = useState<Front | null>(null);
  const [unit, setUnit] = useState('');
  const begin = (
    { needsJob }: Front,
    complaint: string,
    { stage, frontEnd }: Pick<Way, 'stage' | 'frontEnd'>,
  ) =>
    void open(
      {
        assetId: null,
        site: 'Not stated',
        machine: unit.trim() === '' ? 'Unit without a machine' : unit.trim(),
        complaint,
        stoppedAt: null,
        downtimeAllowed_min: null,
        ...{ peopleInDanger: 'not-sure', loadSuspended: 'not-sure', bypass: 'not-sure' },
        ...(unit.trim() === '' && needsJob !== true ? { loose: true as const } : {}),
      },
      { stage, drive: frontEnd === undefined ? undefined : unlabelledDrive(frontEnd) },
    );
  const choose = (front: Front) => {
    setChosen(front);
    if (typeof front.leads === 'string') begin(front, front.name, { stage: front.leads });
  };
  return (
    <CardPage
      title="What is in front of you?"
      about="The right tool opens at once, for any make. With a name a job is made on the way; without one, a loose sheet."
      people={people}
      person={person}
      maxW="1000px"
    >
      <Caution title="Before anything is touched:">
        People clear, load secured. Local codes and licensed practice come first.
      </Caution>
      <FieldGrid min="260px">
        <TextField
          label="Machine or unit"
          text={unit}
          set={setUnit}
          hint="May stay empty: attach the sheet to a job later"
        />
      </FieldGrid>
      <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(260px, 1fr))" gap="3" mb="4">
        {fronts.map((front) => (
          <Fragment key={front.name}>
            <Secondary
              onClick={() => choose(front)}
              disabled={busy}
              aria-pressed={chosen === front}
              display="block"
              height="auto"
              minH="88px"
              textAlign="left"
              whiteSpace="normal"
              py="3"
              {...(chosen === front ? { bg: 'paper', borderColor: 'ink', borderLeftWidth: '6px' } : {})}
            >
              <Text as="span" display="block" fontFamily="heading" fontWeight="600" fontSize="1.25rem">
                {front.name}
              </Text>
              <Text as="span" display="block" color="soft" fontWeight="400">
                {front.about}
              </Text>
            </Secondary>
            {chosen === front && typeof front.leads !== 'string' && (
              // Under what it belongs to: on a phone the end of the list is far away.
              <Box gridColumn="1 / -1" order={{ base: 0, md: 1 }}>
                <Section title={front.leads.asks}>
                  <Box display="flex" gap="3" flexWrap="wrap" alignItems="flex-start">
                    {front.leads.ways.map((way) => (
                      <Secondary
                        key={way.says}
                        disabled={busy}
                        onClick={() => begin(front, `${front.name}: ${way.says}`, way)}
                        {...(way.frontEnd === undefined
                          ? {}
                          : { height: 'auto', textAlign: 'left', py: '2' })}
                      >
                        {way.frontEnd === undefined ? way.says : <Pictured frontEnd={way.frontEnd} />}
                      </Secondary>
                    ))}
                  </Box>
                </Section>
              </Box>
            )}
          </Fragment>
        ))}
      </Box>
      {busy && <Text role="status">Opening…</Text>}
      {trouble !== null && (
        <Text role="alert" color="failed">
          {trouble}
        </Text>
      )}
    </CardPage>
  );
}
