import { Box } from '@chakra-ui/react';
import { useState, type ComponentType } from 'react';
import { blankOf, formOf, titleOf, type Json, type Schema } from '@/core/equipment/type-edit';
import { Secondary } from '../../kit/buttons';
import { TextField } from '../../kit/field';
import { FieldGrid } from '../../kit/section';
import { StateMark } from '../../kit/state-mark';
import { Item, Text } from '../../kit/text';
import { isTroubled, type NodeProps } from './editing';

/** Longer lists are searched … */
const searchedFrom = 12;
/** … and so many of their items are shown at once: drawing thousands takes longer than finding one. */
const mostShown = 60;

/** A list: its items by name, one of them open; added at the end, moved, taken away. */
export function ListForm({
  editing,
  path,
  label,
  item,
  items,
  most,
  inner: NodeForm,
}: NodeProps & {
  item: Schema;
  items: readonly Json[];
  most: number | null;
  /** The form of an item. */
  inner: ComponentType<NodeProps>;
}) {
  const [open, setOpen] = useState<number | null>(null);
  const [asked, setAsked] = useState('');
  const { root } = editing;
  const kind = formOf(item, root).kind;
  const isPlain = kind === 'text' || kind === 'number' || kind === 'choice';
  const words = asked.trim().toLowerCase();
  const found = items.flatMap((one, i) =>
    words === '' || JSON.stringify(one).toLowerCase().includes(words) ? [i] : [],
  );
  const shown = found.slice(0, mostShown);
  const put = (next: readonly Json[]) => editing.set(path, next);
  const move = (from: number, to: number) => {
    const next = [...items];
    const [moved] = next.splice(from, 1);
    if (moved === undefined) return;
    next.splice(to, 0, moved);
    setOpen(to);
    put(next);
  };
  const add = () => {
    setAsked('');
    setOpen(items.length);
    put([...items, blankOf(item, root)]);
  };
  const deeds = (i: number) => (
    <Box display="flex" gap="2" flexWrap="wrap" mt="2">
      <Secondary px="3" disabled={i === 0} onClick={() => move(i, i - 1)}>
        Up
      </Secondary>
      <Secondary px="3" disabled={i === items.length - 1} onClick={() => move(i, i + 1)}>
        Down
      </Secondary>
      <Secondary
        px="3"
        onClick={() => {
          setOpen(null);
          put(items.filter((_, k) => k !== i));
        }}
      >
        Remove {titleOf(items[i] ?? null)}
      </Secondary>
    </Box>
  );
  return (
    <Box>
      {items.length > searchedFrom && (
        <FieldGrid>
          <TextField label={`Find in ${label}`} text={asked} set={setAsked} />
        </FieldGrid>
      )}
      <Text role="status" color="soft" mb="1">
        {shown.length === items.length ? `${items.length}` : `${shown.length} of ${items.length}`}
        {found.length > shown.length && ': search to see the others'}
      </Text>
      <Box as="ol" listStyleType="none" m="0" p="0" mb="2" aria-label={label}>
        {shown.map((i) => {
          const at = [...path, i];
          const troubled = isTroubled(editing, at);
          return (
            <Item key={i}>
              {isPlain ? (
                <>
                  <NodeForm editing={editing} schema={item} path={at} label={`${label} ${i + 1}`} />
                  {deeds(i)}
                </>
              ) : (
                <>
                  <Secondary
                    width="100%"
                    justifyContent="flex-start"
                    textAlign="left"
                    border="0"
                    borderBottom="1px solid"
                    borderColor="line"
                    aria-expanded={open === i}
                    onClick={() => setOpen(open === i ? null : i)}
                  >
                    {troubled && <StateMark mark="failed" label="Something is wrong here" />}
                    {titleOf(items[i] ?? null)}
                  </Secondary>
                  {(open === i || troubled) && (
                    <Box borderLeft="4px solid" borderColor="line" pl="3" mb="3">
                      <NodeForm editing={editing} schema={item} path={at} label={titleOf(items[i] ?? null)} />
                      {deeds(i)}
                    </Box>
                  )}
                </>
              )}
            </Item>
          );
        })}
      </Box>
      <Secondary disabled={most !== null && items.length >= most} onClick={add}>
        Add to {label}
      </Secondary>
    </Box>
  );
}
