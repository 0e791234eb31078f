import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Control } from '@/core/equipment/catalogue';
import { checkLoop, type LoopVerdict } from '@/core/fault-finding/loop-check';
import type { Payload } from '@/core/logbook';
import { Primary, Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { FieldGrid } from '../../kit/section';
import { Choice, NumberField, TextField, optionsOf } from '../../kit/field';
import { useDraftText, useDraftTexts } from '../../kit/draft-text';
import { figureFrom } from '../../kit/number-from';
import { StateMark, type Mark } from '../../kit/state-mark';
import { loopOf } from './loop-elements';
import { Text } from '../../kit/text';

const verdictMark: Readonly<Record<LoopVerdict['verdict'], Mark>> = {
  open: 'failed',
  weak: 'doubt',
  'voltage-drop': 'doubt',
  complete: 'sound',
  selector: 'doubt',
  input: 'failed',
  'bit-contradicts': 'doubt',
  'source-dead': 'failed',
  'two-readings': 'doubt',
  'leads-reversed': 'doubt',
  'foreign-voltage': 'failed',
  contradictory: 'doubt',
  implausible: 'failed',
  measure: 'unprobed',
};

/** What is typed and cannot be read is said, never ignored. */
const notNumber = (text: string): string | undefined =>
  text.trim() !== '' && figureFrom(text) === null ? 'Volts, as a number, e.g. 24.1' : undefined;

interface Terminal {
  id: string;
  mark: string;
}

/** The 24 V loop of one input, walked with the meter on the source's own minus. */
export function LoopWalk({
  control,
  terminal,
  inputs,
  keep,
}: {
  control: Control;
  terminal: Terminal;
  inputs: Readonly<Record<string, boolean>> | undefined;
  keep: (checked: Payload<'loop.checked'>) => void;
}) {
  const [wiring, setWiring] = useState<'source' | 'sink'>('source');
  const [names, setNames] = useDraftText(`contacts on the way to ${terminal.id}`);
  const [source, setSource] = useState('24');
  const typed = useDraftTexts(`volts on the way to ${terminal.id}`);
  const contacts = names
    .split(',')
    .map((n) => n.trim())
    .filter((n, i, all) => n !== '' && all.indexOf(n) === i);
  const elements = loopOf(control, terminal, wiring, contacts.length === 0 ? ['contact'] : contacts);
  const measured = elements.flatMap(({ id }) => {
    const volts = figureFrom(typed.of(id));
    return volts === null ? [] : [{ after: id, volts }];
  });
  const unread = elements.some(({ id }) => notNumber(typed.of(id)) !== undefined);
  const source_V = figureFrom(source) ?? 0;
  const on = inputs?.[terminal.id];
  const loop = {
    source: { volts: source_V },
    elements,
    measured,
    ...(on === undefined ? {} : { bit: on ? (1 as const) : (0 as const) }),
  };
  const said = checkLoop(loop);
  return (
    <Box as="section" aria-label="Loop check">
      <Caution title="Control voltage is on.">
        The machine may start while you bridge or touch: run input off, people clear. Foreign voltages may be
        on the terminal strip.
      </Caution>
      <FieldGrid>
        <NumberField
          label="Source voltage, to its own minus"
          unit="V"
          text={source}
          set={setSource}
          error={notNumber(source)}
        />
        <TextField
          label="Contacts in the loop"
          hint="As named in the drawing, with commas: S1, K3, door"
          text={names}
          set={setNames}
        />
      </FieldGrid>
      <Choice
        label="Wired as"
        value={wiring}
        onChange={setWiring}
        options={optionsOf({ source: 'contact to plus', sink: 'contact to minus' })}
      />
      <Text mt="3" mb="1">
        Voltage after each element, black lead on the minus of the source that feeds the loop:
      </Text>
      <Box
        as="ol"
        listStyleType="none"
        mb="3"
        display="grid"
        gap="3"
        gridTemplateColumns="repeat(auto-fill, minmax(min(100%, 170px), 1fr))"
        alignItems="start"
      >
        {elements.map(({ id }) => (
          <Box
            as="li"
            key={id}
            borderLeft="5px solid"
            borderColor={said.open === id ? 'failed' : said.next?.after === id ? 'focus' : 'line'}
            pl="3"
          >
            <NumberField
              label={`after ${id}`}
              unit="V"
              text={typed.of(id)}
              hint={said.open === id ? 'open here' : said.next?.after === id ? 'measure here' : undefined}
              error={notNumber(typed.of(id))}
              set={(text) => typed.set(id, text)}
            />
          </Box>
        ))}
      </Box>
      <Box role="status" bg="paper" borderLeft="5px solid" borderColor="ink" px="4" py="3" mb="3">
        <Text fontFamily="heading" fontWeight="600" fontSize="1.15rem">
          <StateMark mark={verdictMark[said.verdict]} label={null} />{' '}
          {said.open === null ? 'Loop' : `Open: ${said.open}`}
        </Text>
        <Text>{said.why}</Text>
      </Box>
      <Box display="flex" gap="2" flexWrap="wrap">
        <Primary
          waitsFor={
            measured.length === 0
              ? 'Enter at least one voltage.'
              : unread || notNumber(source) !== undefined
                ? 'A value above cannot be read.'
                : null
          }
          onClick={() =>
            keep({
              input: terminal.mark,
              source_V,
              elements,
              measured,
              ...(loop.bit === undefined ? {} : { bit: loop.bit }),
              open: said.open,
              why: said.why,
            })
          }
        >
          Save loop check
        </Primary>
        <Secondary onClick={typed.clear}>Start again</Secondary>
      </Box>
    </Box>
  );
}
