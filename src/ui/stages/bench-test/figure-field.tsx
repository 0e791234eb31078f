'use client';
import { Box, chakra } from '@chakra-ui/react';
import type { KeyboardEvent, Ref } from 'react';
import type { Value } from '@/core/equipment/power-stage';
import { KeyButton, Secondary } from '../../kit/buttons';
import { Text } from '../../kit/text';

const Input = chakra('input');

export interface Keys {
  keep: () => void;
  overload: () => void;
  short: () => void;
  climbing: () => void;
  repeat: () => void;
  back: () => void;
  suggested: () => void;
  help: () => void;
  pedal: () => void;
}

const letters: Record<string, keyof Keys> = {
  o: 'overload',
  s: 'short',
  c: 'climbing',
  r: 'repeat',
  n: 'suggested',
  '?': 'help',
  ' ': 'pedal',
};

/** The one field that has focus: figure and Enter, or one key for what is no figure. */
export function FigureField({
  text,
  setText,
  keys,
  question,
  error,
  choose,
  disabled,
  idle,
  inputRef,
  suggested,
}: {
  text: string;
  setText: (text: string) => void;
  keys: Keys;
  question: { why: string; choices: { value: Value; words: string }[] } | null;
  error: string | null;
  choose: (value: Value) => void;
  disabled: boolean;
  /** No probe is due: nothing is typed, and the keys that go elsewhere still work. */
  idle: boolean;
  inputRef: Ref<HTMLInputElement>;
  suggested: string | null;
}) {
  const onKey = (e: KeyboardEvent<HTMLInputElement>) => {
    if (e.ctrlKey || e.metaKey || e.altKey) return;
    if (e.key === 'Enter') {
      e.preventDefault();
      keys.keep();
    } else if (e.key === 'ArrowUp') {
      e.preventDefault();
      keys.back();
    } else if (text === '') {
      const action = letters[e.key.toLowerCase()];
      if (action !== undefined) {
        e.preventDefault();
        keys[action]();
      }
      // "OL" typed in full: the O has done it.
      if (e.key.toLowerCase() === 'l') e.preventDefault();
    }
  };
  return (
    <Box display="flex" gap="4" flexWrap="wrap" alignItems="flex-end" mt="2">
      <Box>
        <Box
          display="flex"
          alignItems="center"
          bg="paper"
          border="2px solid"
          borderColor={error === null && question === null ? 'ink' : 'failed'}
          borderRadius="3px"
          height="92px"
          width={{ base: '100%', sm: '290px' }}
          px="4"
          opacity={disabled || idle ? 0.5 : 1}
        >
          <Input
            ref={inputRef}
            aria-label="What the meter shows, volts"
            aria-describedby="figure-trouble"
            aria-invalid={error !== null || question !== null}
            value={text}
            onChange={(e) => setText(e.target.value)}
            onKeyDown={onKey}
            disabled={disabled}
            readOnly={idle}
            inputMode="decimal"
            autoComplete="off"
            border="0"
            width="100%"
            minW="0"
            bg="transparent"
            height="88px"
            p="0"
            textAlign="right"
            fontFamily="mono"
            fontWeight="500"
            fontSize="3.7rem"
            _focusVisible={{ outline: 'none', boxShadow: 'none' }}
          />
          <Text as="span" fontSize="1.6rem" color="soft" ml="2.5">
            V
          </Text>
        </Box>
        <Box id="figure-trouble" role="alert" maxW="290px" fontSize="0.92rem">
          {error !== null && (
            <Text color="failed" fontWeight="500">
              {error}
            </Text>
          )}
          {question !== null && (
            <>
              <Text color="failed" fontWeight="500">
                {question.why}
              </Text>
              <Box display="flex" gap="1.5" flexWrap="wrap" mt="1">
                {question.choices.map((c) => (
                  <Secondary key={c.words} onClick={() => choose(c.value)}>
                    {c.words}
                  </Secondary>
                ))}
              </Box>
            </>
          )}
        </Box>
      </Box>
      <Box display="grid" gridTemplateColumns="repeat(3, auto)" gap="1.5" flex="0 1 auto">
        <KeyButton keyName="Enter" onClick={keys.keep} disabled={disabled || idle}>
          save
        </KeyButton>
        <KeyButton keyName="O" onClick={keys.overload} disabled={disabled || idle}>
          OL
        </KeyButton>
        <KeyButton keyName="S" onClick={keys.short} disabled={disabled || idle}>
          short
        </KeyButton>
        <KeyButton keyName="C" onClick={keys.climbing} disabled={disabled || idle}>
          climbing
        </KeyButton>
        <KeyButton keyName="R" onClick={keys.repeat}>
          repeat
        </KeyButton>
        <KeyButton keyName="↑" onClick={keys.back}>
          back
        </KeyButton>
        {suggested !== null && (
          <Box gridColumn="1 / -1">
            <KeyButton keyName="N" onClick={keys.suggested} width="100%">
              {suggested}
            </KeyButton>
          </Box>
        )}
      </Box>
    </Box>
  );
}
