import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Said } from './text';

/** How a table looks: heads in small soft letters, a line under each row. It scrolls sideways where it must. */
export const TableFrame = ({ children }: { children: ReactNode }) => (
  <Box overflowX="auto">
    <Box
      as="table"
      width="100%"
      css={{
        borderCollapse: 'collapse',
        '& th': { textAlign: 'left', fontWeight: 500 },
        '& td, & th': {
          borderBottom: '1px solid var(--chakra-colors-line)',
          padding: '4px 10px 4px 0',
          verticalAlign: 'top',
        },
        '& thead th': { color: 'var(--chakra-colors-soft)', fontSize: '0.9rem', verticalAlign: 'bottom' },
      }}
    >
      {children}
    </Box>
  </Box>
);

/** A table whose rows are made by hand. An empty head is a cell without a heading. */
export function PlainTable({ heads, children }: { heads: readonly string[]; children: ReactNode }) {
  return (
    <TableFrame>
      <thead>
        <tr>
          {heads.map((h, i) =>
            h === '' ? (
              <td key={i} />
            ) : (
              <th key={i} scope="col">
                <Said>{h}</Said>
              </th>
            ),
          )}
        </tr>
      </thead>
      <tbody>{children}</tbody>
    </TableFrame>
  );
}
