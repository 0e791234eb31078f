import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-600.css';
import '@fontsource/barlow/latin-ext-400.css';
import '@fontsource/barlow-semi-condensed/latin-500.css';
import '@fontsource/barlow-semi-condensed/latin-600.css';
import '@fontsource/ibm-plex-mono/latin-400.css';
import '@fontsource/ibm-plex-mono/latin-500.css';
import type { Metadata, Viewport } from 'next';
import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { Providers } from '@/ui/kit/providers';

export const metadata: Metadata = {
  title: { default: 'Grim Spanner', template: '%s · Grim Spanner' },
  description: 'Drive repair, reasoned through',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#0E2A33' };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const night = (await cookies()).get('grim_theme')?.value === 'night';
  return (
    <html lang="en" className={night ? 'dark' : ''} suppressHydrationWarning>
      <body>
        <Providers>{children}</Providers>
      </body>
    </html>
  );
}
