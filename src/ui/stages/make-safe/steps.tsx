'use client';
import { Box } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { sourceKinds, sourceWords, type SourceKind } from '@/core/bench/make-safe';
import { Secondary } from '../../kit/buttons';
import { Select } from '../../kit/field';
import { StateMark, type Mark } from '../../kit/state-mark';
import { Heading, Text } from '../../kit/text';

interface StepProps {
  n: number;
  title: string;
  mark: Mark;
  summary: string;
  /** It is this step's turn; the person may still open or shut it. */
  open: boolean;
  children: ReactNode;
}

/** A mark beside a step of making safe, for those who hear it. */
const stepWords: Readonly<Record<Mark, string>> = {
  sound: 'done',
  doubt: 'to check',
  failed: 'not safe',
  unprobed: 'open',
};

/** One step of making safe; it opens by itself when its turn comes. */
export function SafetyStep(props: StepProps) {
  return <Foldable key={props.open ? 'due' : 'not due'} {...props} />;
}

function Foldable({ n, title, mark, summary, open, children }: StepProps) {
  const [shown, setShown] = useState(open);
  return (
    <Box as="section" borderTop="1px solid" borderColor="line" py="2">
      <Box
        asChild
        display="flex"
        alignItems="center"
        gap="2.5"
        minH="44px"
        width="100%"
        textAlign="left"
        cursor="pointer"
        bg="transparent"
      >
        <button type="button" aria-expanded={shown} onClick={() => setShown(!shown)}>
          <StateMark mark={mark} label={stepWords[mark]} size={18} />
          <Heading as="h2" fontFamily="heading" fontWeight="600" fontSize="1.12rem">
            {n}. {title}
          </Heading>
          <Text as="span" color="soft" fontSize="0.92rem" ml="auto">
            {summary}
          </Text>
        </button>
      </Box>
      {shown && <Box py="2">{children}</Box>}
    </Box>
  );
}

/** A source that has come back ends the proof at once. */
export function SourceBack({ keep }: { keep: (kind: SourceKind) => void }) {
  const [kind, setKind] = useState<SourceKind>('mains');
  return (
    <Box display="flex" gap="3" alignItems="end" flexWrap="wrap">
      <Box minW="220px">
        <Select
          label="A source is live again"
          value={kind}
          onChange={setKind}
          options={sourceKinds.map((k) => ({ value: k, label: sourceWords[k].name }))}
        />
      </Box>
      <Secondary onClick={() => keep(kind)}>Record it: dead proof becomes void</Secondary>
    </Box>
  );
}
