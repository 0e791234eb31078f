'use client';
import { chakra } from '@chakra-ui/react';
import { useState, type ComponentProps } from 'react';
import { firstUnit, splitQuantity, type Quantity } from '@/core/terms';
import { Field } from './field';
import { figureFrom, quantityFrom } from './number-from';
import { useTerms } from './terms';

const Chooser = chakra('select');

/** What is typed, with its unit where it is not the one that is stored: a draft says by itself what it means. */
const withUnit = (quantity: Quantity, figure: string, unit: 'si' | 'us'): string =>
  unit === 'us' && figure.trim() !== '' ? `${figure} ${quantity.us}` : figure;

/** The value in the unit it was not typed in; undefined where there is nothing to convert. */
function converted(quantity: Quantity, text: string, unit: 'si' | 'us', always: boolean): string | undefined {
  const si = quantityFrom(quantity)(text);
  if (si === null || (unit === 'si' && !always)) return undefined;
  return unit === 'us' ? `= ${si} ${quantity.si}` : `= ${quantity.writeUs(quantity.toUs(si))} ${quantity.us}`;
}

/**
 * A field for a quantity in either of its units: one is chosen beside it, or typed with the value. The other unit's value
 * is below. Its text reads by `quantityFrom`.
 */
export function QuantityField({
  label,
  quantity,
  text,
  set,
  hint,
  ...rest
}: {
  label: string;
  quantity: Quantity;
  text: string;
  set: (text: string) => void;
  hint?: string;
} & Pick<ComponentProps<typeof Field>, 'error' | 'disabled'>) {
  const { profile, say } = useTerms();
  const [chosen, setChosen] = useState(firstUnit(quantity, profile));
  const typed = splitQuantity(quantity, text);
  // A value without a unit is in the one that is stored.
  const unit = typed.unit ?? (typed.figure === '' ? chosen : 'si');
  const below = [
    converted(quantity, text, unit, profile === 'us'),
    hint === undefined ? undefined : say(hint),
  ]
    .filter((part) => part !== undefined)
    .join('; ');
  return (
    <Field
      label={label}
      figure
      inputMode="text"
      value={figureFrom(typed.figure) === null && typed.unit !== null ? text : typed.figure}
      onChange={(e) => {
        const next = splitQuantity(quantity, e.target.value);
        set(withUnit(quantity, next.figure, next.unit ?? unit));
        if (next.unit !== null) setChosen(next.unit);
      }}
      hint={below === '' ? undefined : below}
      beside={
        <Chooser
          aria-label={`Unit of ${label}`}
          height="48px"
          px="1"
          bg="transparent"
          border="1px solid"
          borderColor="line"
          borderRadius="3px"
          value={unit}
          disabled={rest.disabled}
          onChange={(e) => {
            const next = e.target.value === 'us' ? 'us' : 'si';
            setChosen(next);
            set(withUnit(quantity, typed.figure, next));
          }}
        >
          <option value="si">{quantity.si}</option>
          <option value="us">{quantity.us}</option>
        </Chooser>
      }
      {...rest}
    />
  );
}
