import { Box } from '@chakra-ui/react';
import { proxy } from 'comlink';
import { useEffect, useState } from 'react';
import type { PlateBox } from '@/core/reading/plate-text';
import type { PlateWorker } from '@/workers/plate.worker';
import { Primary, Secondary } from '../../kit/buttons';
import { TextField } from '../../kit/field';
import { FileButton } from '../../kit/file-button';
import { StateMark } from '../../kit/state-mark';
import { Text } from '../../kit/text';
import { TickBox } from '../../kit/tick';
import { useWorker, WorkerStopped } from '../../kit/use-worker';
import { plateItems, takenFrom, type PlateItem, type TakenTexts } from './plate-items';

const start = () =>
  new Worker(new URL('../../../workers/plate.worker.ts', import.meta.url), { type: 'module' });

/** The photo with its size as it is shown upright. */
interface Photo {
  url: string;
  width: number;
  height: number;
}

type State =
  | { state: 'idle' }
  | { state: 'reading'; share: number }
  | { state: 'trouble'; said: string }
  | { state: 'read'; items: readonly PlateItem[]; findings: readonly string[]; photo: Photo };

const cropHeight = 40;

/** The part of the photo that a value was read from. */
function Crop({ photo: { url, width, height }, box }: { photo: Photo; box: PlateBox }) {
  const rim = 0.25 * (box.y1 - box.y0);
  const scale = cropHeight / (box.y1 - box.y0 + 2 * rim);
  return (
    <Box
      role="img"
      aria-label="As photographed"
      height={`${cropHeight}px`}
      width={`${Math.min(260, (box.x1 - box.x0 + 2 * rim) * scale)}px`}
      border="1px solid"
      borderColor="soft"
      style={{
        backgroundImage: `url(${url})`,
        backgroundSize: `${width * scale}px ${height * scale}px`,
        backgroundPosition: `${-(box.x0 - rim) * scale}px ${-(box.y0 - rim) * scale}px`,
      }}
    />
  );
}

/** One field: its crop, what was read, and whether it is taken. What is not sure is taken by hand only. */
function ItemRow({
  item,
  photo,
  text,
  setText,
  taken,
  setTaken,
}: {
  item: PlateItem;
  photo: Photo;
  text: string;
  setText: (text: string) => void;
  taken: boolean;
  setTaken: (taken: boolean) => void;
}) {
  const isSure = item.confidence >= takenFrom;
  return (
    <Box
      as="li"
      display="flex"
      gap="4"
      alignItems="end"
      flexWrap="wrap"
      py="2"
      borderTop="1px solid"
      borderColor="line"
    >
      <Box
        as="label"
        display="inline-flex"
        alignItems="center"
        gap="2"
        minH="48px"
        cursor="pointer"
        minW="96px"
      >
        <TickBox checked={taken} onChange={setTaken} />
        Take
      </Box>
      <Box width="220px">
        <TextField label={item.label} text={text} set={setText} />
      </Box>
      <Box display="flex" gap="1" alignItems="center" minH="48px" flexWrap="wrap">
        {item.boxes.map((box) => (
          <Crop key={`${box.x0} ${box.y0}`} photo={photo} box={box} />
        ))}
      </Box>
      <Text as="span" minH="48px" display="inline-flex" alignItems="center" gap="2">
        <StateMark mark={isSure ? 'sound' : 'doubt'} label={null} />
        {isSure ? 'sure' : 'look at the plate'}, {Math.round(100 * item.confidence)} %
      </Text>
      {item.orElse !== null && text !== item.orElse && (
        <Secondary type="button" onClick={() => setText(item.orElse ?? text)}>
          It is {item.orElse}
        </Secondary>
      )}
    </Box>
  );
}

/** What was read, to be looked at and taken over. */
function Review({
  read: { items, findings, photo },
  take,
}: {
  read: Extract<State, { state: 'read' }>;
  take: (texts: TakenTexts) => void;
}) {
  const [texts, setTexts] = useState<TakenTexts>(() => Object.fromEntries(items.map((i) => [i.key, i.text])));
  const [taken, setTaken] = useState<ReadonlySet<PlateItem['key']>>(
    () => new Set(items.filter((i) => i.confidence >= takenFrom).map((i) => i.key)),
  );
  const choose = (key: PlateItem['key'], on: boolean) =>
    setTaken((now) => new Set(on ? [...now, key] : [...now].filter((k) => k !== key)));
  return (
    <>
      {findings.map((text) => (
        <Text key={text} color="doubt">
          {text}
        </Text>
      ))}
      <Box as="ul" listStyleType="none" p="0" mt="3" mb="3" aria-label="Read from the photo">
        {items.map((item) => (
          <ItemRow
            key={item.key}
            item={item}
            photo={photo}
            text={texts[item.key] ?? ''}
            setText={(text) => {
              setTexts((now) => ({ ...now, [item.key]: text }));
              choose(item.key, true);
            }}
            taken={taken.has(item.key)}
            setTaken={(on) => choose(item.key, on)}
          />
        ))}
      </Box>
      {items.length > 0 && (
        <Primary
          type="button"
          onClick={() =>
            take(Object.fromEntries(items.filter((i) => taken.has(i.key)).map((i) => [i.key, texts[i.key]])))
          }
        >
          Fill in what is ticked
        </Primary>
      )}
    </>
  );
}

/** Reads a rating plate from its photo, on this device; what is not sure has to be looked at. */
export function PlateReader({ said, take }: { said: string; take: (texts: TakenTexts) => void }) {
  const { ask, stop } = useWorker<PlateWorker>(start);
  const [state, setState] = useState<State>({ state: 'idle' });
  const url = state.state === 'read' ? state.photo.url : null;
  useEffect(
    () => () => {
      if (url !== null) URL.revokeObjectURL(url);
    },
    [url],
  );
  const read = async (file: File): Promise<void> => {
    setState({ state: 'reading', share: 0 });
    try {
      const told = proxy((share: number) => setState({ state: 'reading', share }));
      const { fields, findings, width, height } = await ask((worker) => worker.read(file, told));
      const photo = { url: URL.createObjectURL(file), width, height };
      setState({ state: 'read', items: plateItems(fields), findings: findings.map((f) => f.text), photo });
    } catch (error) {
      const why = error instanceof Error ? error.message : 'The photo could not be read.';
      setState(error instanceof WorkerStopped ? { state: 'idle' } : { state: 'trouble', said: why });
    }
  };
  return (
    <Box mb="4">
      <FileButton
        label="Read from a photo"
        said={said}
        accept="image/*"
        disabled={state.state === 'reading'}
        take={(file) => void read(file)}
      />
      {state.state === 'reading' && (
        <Box display="flex" gap="4" alignItems="center" mt="2">
          <Text role="status">Reading the photo: {Math.round(100 * state.share)} %</Text>
          <Secondary type="button" onClick={stop}>
            Cancel
          </Secondary>
        </Box>
      )}
      {state.state === 'trouble' && (
        <Text role="alert" color="failed" mt="2">
          {state.said}
        </Text>
      )}
      {state.state === 'read' && <Review key={state.photo.url} read={state} take={take} />}
    </Box>
  );
}
