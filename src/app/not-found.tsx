import NextLink from 'next/link';

export default function NotFound() {
  return (
    <main style={{ padding: 40, color: 'var(--chakra-colors-bench-ink)' }}>
      <h1 style={{ fontSize: 24, marginBottom: 8 }}>Page not found.</h1>
      <p>
        The job may exist on another server. <NextLink href="/">Back to the jobs</NextLink>
      </p>
    </main>
  );
}
