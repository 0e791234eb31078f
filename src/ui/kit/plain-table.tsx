import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A table to read: a head in small soft letters, a line under each row. */
export function PlainTable({ heads, children }: { heads: readonly string[]; children: ReactNode }) {
  return (
    <Box overflowX="auto">
      <Box
        as="table"
        width="100%"
        css={{
          borderCollapse: 'collapse',
          '& th': {
            textAlign: 'left',
            fontWeight: 500,
            color: 'var(--chakra-colors-soft)',
            fontSize: '0.9rem',
          },
          '& td, & th': {
            borderBottom: '1px solid var(--chakra-colors-line)',
            padding: '4px 10px 4px 0',
            verticalAlign: 'top',
          },
        }}
      >
        <thead>
          <tr>{heads.map((h, i) => (h === '' ? <td key={i} /> : <th key={i}>{h}</th>))}</tr>
        </thead>
        <tbody>{children}</tbody>
      </Box>
    </Box>
  );
}
