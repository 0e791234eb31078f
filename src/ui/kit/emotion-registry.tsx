'use client';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { useServerInsertedHTML } from 'next/navigation';
import { useState, type ReactNode } from 'react';

// Emotion's default SSR puts <style> tags in the tree, which React 19 then reports as a
// hydration mismatch (#418) in the App Router. This collects the rules instead and lets
// Next insert them ahead of the streamed HTML.
export function EmotionRegistry({ children }: { children: ReactNode }) {
  const [{ cache, flush }] = useState(() => {
    const cache = createCache({ key: 'css' });
    cache.compat = true;
    const insert = cache.insert;
    let pending: { name: string; global: boolean }[] = [];
    cache.insert = (...args) => {
      const [selector, serialized] = args;
      if (cache.inserted[serialized.name] === undefined) {
        pending.push({ name: serialized.name, global: selector === '' });
      }
      return insert(...args);
    };
    const flush = () => {
      const was = pending;
      pending = [];
      return was;
    };
    return { cache, flush };
  });

  useServerInsertedHTML(() => {
    const pending = flush();
    if (pending.length === 0) return null;
    const names: string[] = [];
    let css = '';
    const globals: { name: string; css: string }[] = [];
    for (const { name, global } of pending) {
      const rule = cache.inserted[name];
      if (typeof rule !== 'string') continue;
      if (global) globals.push({ name, css: rule });
      else {
        names.push(name);
        css += rule;
      }
    }
    return (
      <>
        {globals.map((g) => (
          <style
            key={g.name}
            data-emotion={`${cache.key}-global ${g.name}`}
            dangerouslySetInnerHTML={{ __html: g.css }}
          />
        ))}
        {css && (
          <style data-emotion={`${cache.key} ${names.join(' ')}`} dangerouslySetInnerHTML={{ __html: css }} />
        )}
      </>
    );
  });

  return <CacheProvider value={cache}>{children}</CacheProvider>;
}
