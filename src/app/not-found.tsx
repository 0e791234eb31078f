import NextLink from 'next/link';

export default function NotFound() {
  return (
    <main style={{ padding: 40, color: 'var(--chakra-colors-bench-ink)' }}>
      <h1 style={{ fontSize: 24, marginBottom: 8 }}>There is nothing here.</h1>
      <p>
        The job may have been opened on another machine. <NextLink href="/">Back to the board</NextLink>
      </p>
    </main>
  );
}
