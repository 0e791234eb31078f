import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-600.css';
import '@fontsource/barlow/latin-ext-400.css';
import '@fontsource/barlow-semi-condensed/latin-500.css';
import '@fontsource/barlow-semi-condensed/latin-600.css';
import '@fontsource/ibm-plex-mono/latin-400.css';
import '@fontsource/ibm-plex-mono/latin-500.css';
import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { currentTerms } from '@/server/people/current-person';
import { Providers } from '@/ui/kit/providers';

export const metadata: Metadata = {
  title: { default: 'Grim Spanner', template: '%s · Grim Spanner' },
  description: 'Drive diagnosis and repair',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#0E2A33' };

/** Day or night as the system has it, before anything is drawn: only the browser knows. */
const asTheSystem =
  "if (matchMedia('(prefers-color-scheme: dark)').matches) document.documentElement.classList.add('dark')";

/** The word of this answer that its scripts carry. */
const nonceIn = (policy: string): string | undefined => /'nonce-([^']+)'/.exec(policy)?.[1];

export default async function RootLayout({ children }: { children: ReactNode }) {
  const chosen = (await cookies()).get('grim_theme')?.value;
  const terms = await currentTerms();
  const nonce = nonceIn((await headers()).get('content-security-policy') ?? '');
  return (
    <html
      lang={terms === 'us' ? 'en-US' : 'en'}
      className={chosen === 'night' ? 'dark' : ''}
      suppressHydrationWarning
    >
      <body>
        {chosen === undefined && <script nonce={nonce} dangerouslySetInnerHTML={{ __html: asTheSystem }} />}
        <Providers terms={terms}>{children}</Providers>
      </body>
    </html>
  );
}
