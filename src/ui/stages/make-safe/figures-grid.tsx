'use client';
import { Box, chakra } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { readVolts } from '@/core/bench/entry-text';
import { stepsOf, type ProofReading, type SafetyState } from '@/core/logbook';
import {
  againAfter_s,
  againId,
  alive_Vac,
  stepKey,
  type Limits,
  type ProofStep,
  type Quantity,
} from '@/core/bench/make-safe';
import type { Stage, Terminal } from '@/core/equipment/power-stage';
import { StateMark, type Mark } from '../../kit/state-mark';
import { countdown } from '../../kit/time';
import { Cell, Text } from '../../kit/text';

const Input = chakra('input');

/** What a reading means: state and words. */
function judged(volts: number, quantity: Quantity, limits: Limits): [mark: Mark, words: string] {
  const size = Math.abs(volts);
  if (quantity === 'ac')
    return size > alive_Vac ? ['failed', 'AC: a source is not isolated, stop'] : ['sound', 'dead'];
  if (size > limits.hands_V) return ['failed', `above ${limits.hands_V} V: no work inside`];
  return size > limits.test_V ? ['doubt', `above ${limits.test_V} V: no test`] : ['sound', 'dead'];
}

const shownAs = ({ volts, below }: ProofReading): string => `${below === true ? '< ' : ''}${volts}`;

/**
 * The figures of the dead proof, one field each; Enter keeps one and walks to the next. The terminal
 * is named as on the plate.
 */
export function FiguresGrid({
  stage,
  safety,
  limits,
  now,
  disabled,
  plateMark,
  keep,
}: {
  stage: Stage;
  safety: SafetyState;
  limits: Limits;
  now: number;
  disabled: boolean;
  plateMark: (terminal: Terminal | 'PE' | string) => string;
  keep: (step: ProofStep, volts: number) => void;
}) {
  const steps = stepsOf(safety, stage);
  const inputs = useRef<Record<string, HTMLInputElement | null>>({});
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [errors, setErrors] = useState<Record<string, string>>({});
  // Moving on takes the focus away, and leaving a field keeps it too: once is enough.
  const kept = useRef<string | null>(null);
  const bank = safety.figures[stepKey('bank', 'dc')];
  const wait_s = bank === undefined ? null : (bank.at + againAfter_s * 1000 - now) / 1000;

  const enter = (step: ProofStep, index: number) => {
    const read = readVolts(typed[step.key] ?? '');
    if (read.kind === 'unreadable') {
      setErrors((e) => ({ ...e, [step.key]: read.why }));
      return;
    }
    kept.current = step.key;
    setErrors((e) => ({ ...e, [step.key]: '' }));
    setTyped((t) => ({ ...t, [step.key]: '' }));
    keep(step, read.volts);
    const next = [...steps.slice(index + 1), ...steps.slice(0, index)].find(
      (s) => safety.figures[s.key] === undefined,
    );
    if (next !== undefined) inputs.current[next.key]?.focus();
  };

  return (
    <Box
      as="table"
      width="100%"
      css={{
        borderCollapse: 'collapse',
        '& td, & th': {
          borderBottom: '1px solid var(--chakra-colors-line)',
          padding: '5px 8px',
          textAlign: 'left',
        },
      }}
    >
      <thead>
        <tr>
          {['Between', 'Where', 'Meter on', 'Reading, V', 'State'].map((h) => (
            <Text as="th" key={h} fontFamily="heading" fontWeight="500" color="soft" fontSize="0.9rem">
              {h}
            </Text>
          ))}
        </tr>
      </thead>
      <tbody>
        {steps.map((step, i) => {
          const figure = safety.figures[step.key];
          const again = step.point.id === againId;
          const early = again && (wait_s === null || wait_s > 0);
          const state = figure === undefined ? null : judged(figure.volts, step.quantity, limits);
          const error = errors[step.key];
          return (
            <tr key={step.key}>
              <Text as="td" fontFamily="heading" fontWeight="600" whiteSpace="nowrap">
                {plateMark(step.point.a)} – {plateMark(step.point.b)}
              </Text>
              <Text as="td" color="soft" fontSize="0.9rem">
                {step.point.where}
              </Text>
              <Text as="td" fontFamily="mono" fontSize="0.9rem">
                {step.quantity.toUpperCase()}
              </Text>
              <Cell>
                <Input
                  ref={(el: HTMLInputElement | null) => {
                    inputs.current[step.key] = el;
                  }}
                  aria-label={`${step.point.a} to ${step.point.b}, ${step.quantity.toUpperCase()}, ${step.point.where}, volts`}
                  aria-invalid={error !== undefined && error !== ''}
                  disabled={disabled || early}
                  inputMode="decimal"
                  autoComplete="off"
                  height="48px"
                  width="116px"
                  bg="paper"
                  px="2"
                  border="1px solid"
                  borderColor="line"
                  borderRadius="3px"
                  fontFamily="mono"
                  fontSize="1.3rem"
                  textAlign="right"
                  placeholder={figure === undefined ? '' : shownAs(figure)}
                  _placeholder={{ color: 'ink', opacity: 1 }}
                  value={typed[step.key] ?? ''}
                  onChange={(e) => {
                    kept.current = null;
                    setTyped((t) => ({ ...t, [step.key]: e.target.value }));
                  }}
                  onKeyDown={(e) => {
                    if (e.key === 'Enter') {
                      e.preventDefault();
                      enter(step, i);
                    }
                    if (e.key === 'ArrowUp' && i > 0) {
                      e.preventDefault();
                      inputs.current[steps[i - 1]?.key ?? '']?.focus();
                    }
                  }}
                  onBlur={() => {
                    if (kept.current !== step.key && (typed[step.key] ?? '').trim() !== '') enter(step, i);
                  }}
                />
                {error !== undefined && error !== '' && (
                  <Text role="alert" color="failed" fontSize="0.85rem" maxW="260px">
                    {error}
                  </Text>
                )}
              </Cell>
              <Text as="td" fontSize="0.9rem">
                {state !== null ? (
                  <>
                    <StateMark mark={state[0]} label={null} /> {state[1]}
                  </>
                ) : again && wait_s !== null && wait_s > 0 ? (
                  `in ${countdown(wait_s)}`
                ) : (
                  ''
                )}
              </Text>
            </tr>
          );
        })}
      </tbody>
    </Box>
  );
}
