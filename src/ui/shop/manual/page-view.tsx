import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import type { DraftParameter } from '@/core/reading/type-draft';
import type { ManualWorker } from '@/workers/manual.worker';
import { Text } from '../../kit/text';
import { useWorker } from '../../kit/use-worker';

const Picture = chakra('img');

const start = () =>
  new Worker(new URL('../../../workers/manual.worker.ts', import.meta.url), { type: 'module' });

interface Shown {
  page: number;
  url: string;
  width: number;
  height: number;
}

/** A page of the manual, scrolled to the row that was read, with a frame around it. */
export function PageView({
  manual,
  page,
  box,
  tall = false,
}: { manual: Blob; tall?: boolean } & Pick<DraftParameter, 'page' | 'box'>) {
  const { ask } = useWorker<ManualWorker>(start);
  const [shown, setShown] = useState<Shown | null>(null);
  const [trouble, setTrouble] = useState(false);
  const opened = useRef<Blob | null>(null);
  const frame = useRef<HTMLDivElement>(null);
  useEffect(() => {
    let left = false;
    let url = '';
    const draw = async () => {
      if (opened.current !== manual) {
        opened.current = manual;
        const bytes = new Uint8Array(await manual.arrayBuffer());
        await ask((worker) => worker.open(bytes));
      }
      const { picture, width, height } = await ask((worker) => worker.page(page));
      if (left) return;
      url = URL.createObjectURL(picture);
      setShown({ page, url, width, height });
      setTrouble(false);
    };
    draw().catch(() => {
      if (!left) setTrouble(true);
    });
    return () => {
      left = true;
      URL.revokeObjectURL(url);
    };
  }, [ask, manual, page]);
  const toRow = () => {
    const { current } = frame;
    if (current === null || shown === null || box === null) return;
    const row = ((box.y0 + box.y1) / 2 / shown.height) * current.scrollHeight;
    current.scrollTop = row - current.clientHeight / 2;
  };
  useEffect(toRow);
  if (trouble) return <Text color="failed">Page {page} of the manual cannot be shown.</Text>;
  if (shown === null || shown.page !== page) return <Text role="status">Drawing page {page}…</Text>;
  const share = (part: number, whole: number): string => `${(100 * part) / whole}%`;
  return (
    <Box
      ref={frame}
      role="region"
      tabIndex={0}
      aria-label={`Page ${page} of the manual`}
      maxH={tall ? '70dvh' : '300px'}
      overflow="auto"
      border="1px solid"
      borderColor="line"
      mb="3"
    >
      <Box position="relative" minW="640px">
        <Picture display="block" width="100%" src={shown.url} alt={`Page ${page}`} onLoad={toRow} />
        {box !== null && (
          <Box
            position="absolute"
            aria-hidden="true"
            border="3px solid"
            borderColor="doubt"
            left={share(box.x0 - 4, shown.width)}
            top={share(box.y0 - 3, shown.height)}
            width={share(box.x1 - box.x0 + 8, shown.width)}
            height={share(box.y1 - box.y0 + 6, shown.height)}
          />
        )}
      </Box>
    </Box>
  );
}
