import { Box, chakra } from '@chakra-ui/react';
import { useId, type ComponentProps, type ReactNode } from 'react';
import { keysOf } from '@/core/numerics/arrays';
import { useTerms } from './terms';
import { Text, Said } from './text';

const Input = chakra('input');
const Chooser = chakra('select');
const Area = chakra('textarea');
type InputProps = ComponentProps<typeof Input>;

/** The box around what is typed or chosen. */
const boxed = {
  height: '48px',
  width: '100%',
  minWidth: 0,
  px: '3',
  bg: 'paper',
  border: '1px solid',
  borderRadius: '3px',
  _disabled: { opacity: 0.6 },
} as const;

interface Framing {
  label: string;
  hint?: string | undefined;
  error?: string | undefined;
  unit?: string | undefined;
}

/** What is wrong with what stands in a field. */
const FieldError = (props: { id?: string; children: string }) => (
  <Text role="alert" fontSize="0.9rem" color="failed" fontWeight="500" mt="1" {...props} />
);

function Frame({ id, label, hint, error, children }: Framing & { id: string; children: ReactNode }) {
  return (
    <Box>
      <Text asChild fontFamily="heading" fontWeight="500" display="block" mb="1">
        <label htmlFor={id}>
          <Said>{label}</Said>
        </label>
      </Text>
      {children}
      {hint !== undefined && error === undefined && (
        <Text id={`${id}-hint`} fontSize="0.85rem" color="soft" mt="1">
          {hint}
        </Text>
      )}
      {error !== undefined && <FieldError id={`${id}-error`}>{error}</FieldError>}
    </Box>
  );
}

const described = (id: string, { hint, error }: Framing) =>
  error !== undefined ? `${id}-error` : hint !== undefined ? `${id}-hint` : undefined;

/** A labelled text field; figures are set in tabular digits with their unit beside them. */
export function Field({
  label,
  hint,
  error,
  unit,
  beside,
  figure = false,
  ...rest
}: Framing & { figure?: boolean; beside?: ReactNode } & InputProps) {
  const id = useId();
  const framing = { label, hint, error, unit };
  return (
    <Frame id={id} {...framing}>
      <Box display="flex" alignItems="center" gap="2">
        <Input
          id={id}
          {...boxed}
          borderColor={error === undefined ? 'line' : 'failed'}
          fontFamily={figure ? 'mono' : 'body'}
          fontSize={figure ? '1.15rem' : '1rem'}
          aria-invalid={error !== undefined}
          aria-describedby={described(id, framing)}
          autoComplete="off"
          {...(figure ? { inputMode: 'decimal' as const } : {})}
          {...rest}
        />
        {beside}
        {unit !== undefined && (
          <Text as="span" color="soft" minW="2em" whiteSpace="nowrap">
            {unit}
          </Text>
        )}
      </Box>
    </Frame>
  );
}

type TypedProps = Framing & { text: string; set: (text: string) => void; figure?: boolean } & Omit<
    InputProps,
    'value' | 'onChange' | 'set' | 'label'
  >;

/** A text field outside a form. */
export const TextField = ({ text, set, ...rest }: TypedProps) => (
  <Field value={text} onChange={(e) => set(e.target.value)} {...rest} />
);

/** A figure outside a form as it is typed: text until it is read, so that nothing typed is lost. */
export const NumberField = (props: TypedProps) => <TextField figure {...props} />;

/** The same for text of several lines. */
export function LongField({
  label,
  hint,
  error,
  ...rest
}: Pick<Framing, 'label' | 'hint' | 'error'> & ComponentProps<typeof Area>) {
  const id = useId();
  const framing = { label, hint, error };
  return (
    <Frame id={id} {...framing}>
      <Area
        id={id}
        {...boxed}
        height="auto"
        py="2"
        borderColor={error === undefined ? 'line' : 'failed'}
        aria-invalid={error !== undefined}
        aria-describedby={described(id, framing)}
        {...rest}
      />
    </Frame>
  );
}

export interface Option<V extends string = string> {
  value: V;
  label: string;
  /** Shown above the label where it is chosen by looking. */
  picture?: ReactNode;
}

/** Options from words by value. */
export const optionsOf = <V extends string>(words: Readonly<Record<V, string>>): Option<V>[] =>
  // Keys of a record that was written out are of its key type.
  keysOf(words).map((value) => ({ value, label: words[value] }));

/** The choices of an entry of a drive, none of them made yet. */
export const choiceOptions = (choices: readonly { value: number; name: string }[]): Option[] => [
  { value: '', label: 'choose' },
  ...choices.map(({ value, name }) => ({ value: String(value), label: name })),
];

/** A labelled choice from a list. */
export function Select<V extends string>({
  label,
  hint,
  error,
  options,
  value,
  onChange,
  disabled = false,
}: Framing & {
  options: readonly Option<V>[];
  value: V;
  onChange: (value: V) => void;
  disabled?: boolean;
}) {
  const id = useId();
  const { say } = useTerms();
  return (
    <Frame id={id} label={label} hint={hint} error={error}>
      <Chooser
        id={id}
        {...boxed}
        borderColor="line"
        value={value}
        disabled={disabled}
        aria-describedby={described(id, { label, hint, error })}
        onChange={(e) => {
          const chosen = options.find((o) => o.value === e.target.value);
          if (chosen !== undefined) onChange(chosen.value);
        }}
      >
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {say(o.label)}
          </option>
        ))}
      </Chooser>
    </Frame>
  );
}

/** A few answers side by side, each a target for a gloved thumb. */
export function Choice<V extends string>({
  label,
  options,
  value,
  onChange,
  hideLabel = false,
  disabled = false,
  error,
}: {
  label: string;
  options: readonly Option<V>[];
  value: V | null;
  onChange: (value: V) => void;
  hideLabel?: boolean;
  disabled?: boolean;
  error?: string | undefined;
}) {
  const name = useId();
  return (
    <Box as="fieldset" border="0" p="0" m="0" minW="0">
      <Text
        as="legend"
        fontFamily="heading"
        fontWeight="500"
        mb="1"
        {...(hideLabel
          ? { position: 'absolute', width: '1px', height: '1px', overflow: 'hidden', clipPath: 'inset(50%)' }
          : {})}
      >
        {label}
      </Text>
      <Box display="flex" flexWrap="wrap" gap="1.5">
        {options.map((o) => (
          <Box
            key={o.value}
            as="label"
            display="inline-flex"
            alignItems="center"
            gap="2"
            minH="48px"
            px="3"
            border="1px solid"
            borderColor={value === o.value ? 'ink' : 'line'}
            boxShadow={value === o.value ? 'inset 0 0 0 1px currentColor' : 'none'}
            bg={value === o.value ? 'paper' : 'transparent'}
            borderRadius="3px"
            cursor={disabled ? 'not-allowed' : 'pointer'}
            opacity={disabled ? 0.6 : 1}
            fontWeight={value === o.value ? 600 : 400}
          >
            <input
              type="radio"
              name={name}
              value={o.value}
              checked={value === o.value}
              disabled={disabled}
              onChange={() => onChange(o.value)}
            />
            {o.picture === undefined ? (
              <Said>{o.label}</Said>
            ) : (
              <Box as="span" display="block" py="1">
                {o.picture}
                <Said>{o.label}</Said>
              </Box>
            )}
          </Box>
        ))}
      </Box>
      {error !== undefined && <FieldError>{error}</FieldError>}
    </Box>
  );
}
