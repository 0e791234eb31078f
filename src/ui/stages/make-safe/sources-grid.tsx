'use client';
import { Box, chakra } from '@chakra-ui/react';
import { useRef, useState, type KeyboardEvent } from 'react';
import {
  sourceKinds,
  sourceStates,
  sourceWords,
  unsafeSources,
  type EnergySource,
  type SourceKind,
  type SourceState,
} from '@/core/bench/make-safe';
import { Key, Primary } from '../../kit/buttons';
import { Text } from '../../kit/text';

const Input = chakra('input');

const stateLabel: Record<SourceState, string> = {
  absent: 'not there',
  isolated: 'isolated',
  'not-sure': 'not sure',
  live: 'live',
};
const keys: Record<string, SourceState> = { a: 'absent', i: 'isolated', n: 'not-sure', l: 'live' };

/** Every source of energy, answered afresh on each job; Enter walks the rows. */
export function SourcesGrid({
  known,
  current,
  keep,
  disabled,
}: {
  known: readonly string[];
  current: readonly EnergySource[];
  keep: (sources: EnergySource[]) => void;
  disabled: boolean;
}) {
  const [answers, setAnswers] = useState<Partial<Record<SourceKind, SourceState>>>(
    Object.fromEntries(current.map((s) => [s.kind, s.state])),
  );
  const [how, setHow] = useState<Partial<Record<SourceKind, string>>>(
    Object.fromEntries(current.map((s) => [s.kind, s.how ?? ''])),
  );
  const rows = useRef<(HTMLInputElement | null)[]>([]);
  const button = useRef<HTMLButtonElement>(null);
  const list = sourceKinds.flatMap((kind): EnergySource[] => {
    const state = answers[kind];
    const text = how[kind]?.trim();
    return state === undefined ? [] : [{ kind, state, ...(text ? { how: text } : {}) }];
  });
  const answer = (kind: SourceKind, state: SourceState) => setAnswers((a) => ({ ...a, [kind]: state }));
  const onKey = (e: KeyboardEvent, row: number, kind: SourceKind) => {
    if (e.target instanceof HTMLInputElement && e.target.type === 'text' && e.key !== 'Enter') return;
    const state = keys[e.key.toLowerCase()];
    if (state !== undefined && !e.ctrlKey && !e.metaKey) {
      e.preventDefault();
      answer(kind, state);
    }
    if (e.key === 'Enter') {
      e.preventDefault();
      (rows.current[row + 1] ?? button.current)?.focus();
    }
  };
  const left = unsafeSources(list).length;
  return (
    <Box>
      <Text fontSize="0.9rem" color="soft" mb="2" display={{ base: 'none', md: 'block' }}>
        <Key>A</Key> not there <Key>I</Key> isolated <Key>N</Key> not sure <Key>L</Key> live <Key>Enter</Key>{' '}
        next row
      </Text>
      {sourceKinds.map((kind, row) => (
        <Box
          key={kind}
          role="group"
          aria-label={sourceWords[kind].name}
          display="grid"
          gridTemplateColumns={{ base: '1fr', sm: '210px 1fr' }}
          gap="2"
          py="1.5"
          borderBottom="1px solid"
          border="1px solid"
          borderColor="line"
          alignItems="center"
          onKeyDown={(e: KeyboardEvent) => onKey(e, row, kind)}
        >
          <Box>
            <Text fontFamily="heading" fontWeight="600">
              {sourceWords[kind].name}
              {known.includes(kind) && (
                <Text as="span" ml="2" fontSize="0.78rem" color="doubt" fontWeight="500">
                  known here
                </Text>
              )}
            </Text>
            <Text fontSize="0.82rem" color="soft" lineHeight="1.25">
              {sourceWords[kind].hint}
            </Text>
          </Box>
          <Box display="flex" flexWrap="wrap" gap="1">
            {sourceStates.map((state, i) => (
              <Box
                key={state}
                as="label"
                display="inline-flex"
                alignItems="center"
                gap="1.5"
                minH="48px"
                px="2.5"
                border="1px solid"
                borderColor={answers[kind] === state ? 'ink' : 'line'}
                bg={answers[kind] === state ? 'paper' : 'transparent'}
                borderRadius="3px"
                fontSize="0.92rem"
                cursor="pointer"
              >
                <input
                  type="radio"
                  name={`source-${kind}`}
                  disabled={disabled}
                  checked={answers[kind] === state}
                  onChange={() => answer(kind, state)}
                  ref={(el) => {
                    if (answers[kind] === state || (answers[kind] === undefined && i === 0))
                      rows.current[row] = el;
                  }}
                />
                {stateLabel[state]}
              </Box>
            ))}
            {answers[kind] === 'isolated' && (
              <Input
                aria-label={`${sourceWords[kind].name}: how isolated`}
                placeholder="how, where"
                height="48px"
                width="150px"
                flex="1 1 130px"
                bg="paper"
                px="2"
                border="1px solid"
                borderColor="line"
                borderRadius="3px"
                maxLength={200}
                value={how[kind] ?? ''}
                onChange={(e) => setHow((h) => ({ ...h, [kind]: e.target.value }))}
              />
            )}
          </Box>
        </Box>
      ))}
      <Primary
        ref={button}
        mt="3"
        disabled={disabled || list.length < sourceKinds.length}
        onClick={() => keep(list)}
      >
        {list.length < sourceKinds.length
          ? `${sourceKinds.length - list.length} still to answer`
          : left > 0
            ? `Save: ${left} not safe yet`
            : 'Confirm all sources'}
      </Primary>
    </Box>
  );
}
