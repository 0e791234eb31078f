'use client';

/** Something broke while drawing: nothing kept is lost. */
export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <main style={{ padding: 40, color: 'var(--chakra-colors-bench-ink)' }}>
      <h1 style={{ fontSize: 24, marginBottom: 8 }}>This page could not be displayed.</h1>
      <p>The server or its database may be restarting. All saved data is safe.</p>
      <button
        type="button"
        onClick={reset}
        style={{ minHeight: 48, padding: '0 20px', marginTop: 16, border: '1px solid' }}
      >
        Try again
      </button>
    </main>
  );
}
