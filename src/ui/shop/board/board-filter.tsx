'use client';
import { Box } from '@chakra-ui/react';
import NextLink from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState, useTransition } from 'react';
import type { BoardQuery } from '@/api/board';
import { countOf, stageIds, stageNames, type StageId } from '@/core/logbook';
import { Select, TextField, type Option } from '../../kit/field';
import { Text } from '../../kit/text';

const states = [
  { value: 'open', label: 'open jobs' },
  { value: 'closed', label: 'handed over' },
  { value: 'all', label: 'all jobs' },
  { value: 'loose', label: 'loose sheets' },
] as const;
const sorts = [
  { value: 'clock', label: 'least time left' },
  { value: 'newest', label: 'latest log entry' },
  { value: 'machine', label: 'machine' },
] as const;
const anyStage = 'any' as const;
const stages: readonly Option<StageId | typeof anyStage>[] = [
  { value: anyStage, label: 'any stage' },
  ...stageIds.map((id) => ({ value: id, label: stageNames[id] })),
];
const search_ms = 250;

/** The address of the board for a query; what is usual is left out. */
export function boardAddress({ search, state, stage, sort, page }: BoardQuery): string {
  const parts = {
    ...(search === '' ? {} : { search }),
    ...(state === 'open' ? {} : { state }),
    ...(stage === null ? {} : { stage }),
    ...(sort === 'clock' ? {} : { sort }),
    ...(page === 1 ? {} : { page: String(page) }),
  };
  const query = new URLSearchParams(parts).toString();
  return query === '' ? '/' : `/?${query}`;
}

/** What is looked for on the board. It stands in the address: Back and a bookmark bring it again. */
export function BoardFilter({ query }: { query: BoardQuery }) {
  const router = useRouter();
  const [pending, start] = useTransition();
  const [search, setSearch] = useState(query.search);
  const [asked, setAsked] = useState(query.search);
  const show = (change: Partial<BoardQuery>) =>
    start(() => router.replace(boardAddress({ ...query, search, ...change, page: 1 }), { scroll: false }));

  // Back brings an earlier address: the field follows it, but not while something newer was typed.
  const [seen, setSeen] = useState(query.search);
  if (seen !== query.search) {
    setSeen(query.search);
    if (asked !== query.search) {
      setAsked(query.search);
      setSearch(query.search);
    }
  }
  useEffect(() => {
    if (search === asked) return;
    const timer = setTimeout(() => {
      setAsked(search);
      start(() => router.replace(boardAddress({ ...query, search, page: 1 }), { scroll: false }));
    }, search_ms);
    return () => clearTimeout(timer);
  }, [search, asked, query, router]);

  return (
    <Box
      role="search"
      aria-label="Jobs"
      bg="card"
      borderRadius="4px"
      px={{ base: 3, sm: 5 }}
      py="4"
      display="grid"
      gridTemplateColumns={{ base: 'repeat(3, minmax(0, 1fr))', lg: '2fr 1fr 1fr 1fr' }}
      gap={{ base: 2, sm: 3 }}
      css={{ '& > :first-of-type': { gridColumn: { base: '1 / -1', lg: 'auto' } } }}
      mb="3"
      aria-busy={pending}
    >
      <TextField
        label="Search"
        placeholder="machine, site, drive, serial number, fault"
        type="search"
        maxLength={200}
        text={search}
        set={setSearch}
      />
      <Select label="Show" value={query.state} options={states} onChange={(state) => show({ state })} />
      <Select
        label="Stage"
        value={query.stage ?? anyStage}
        options={stages}
        onChange={(stage) => show({ stage: stage === anyStage ? null : stage })}
      />
      <Select label="Sort by" value={query.sort} options={sorts} onChange={(sort) => show({ sort })} />
    </Box>
  );
}

const link = {
  minH: '48px',
  px: '4',
  display: 'inline-flex',
  alignItems: 'center',
  color: 'benchInk',
  textDecoration: 'underline',
} as const;

/** How many were found, and the pages before and after this one. */
export function Pages({
  query,
  total,
  page,
  pages,
}: {
  query: BoardQuery;
  total: number;
  page: number;
  pages: number;
}) {
  return (
    <Box asChild display="flex" flexWrap="wrap" alignItems="center" gap="2" mt="4" color="benchInk">
      <nav aria-label="Pages of jobs">
        {page > 1 && (
          <Text asChild {...link}>
            <NextLink href={boardAddress({ ...query, page: page - 1 })} prefetch={false}>
              Previous page
            </NextLink>
          </Text>
        )}
        <Text role="status">
          {countOf(total, query.state === 'loose' ? 'loose sheet' : 'job')}
          {pages > 1 && `, page ${page} of ${pages}`}
        </Text>
        {page < pages && (
          <Text asChild {...link}>
            <NextLink href={boardAddress({ ...query, page: page + 1 })} prefetch={false}>
              Next page
            </NextLink>
          </Text>
        )}
      </nav>
    </Box>
  );
}
