import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';

/** One colour by day and by night. */
const pair = (day: string, night: string) => ({ value: { base: day, _dark: night } });

/** Steps of a quarter rem, by the names that Chakra's properties use. */
const steps = Object.fromEntries(
  [0, 0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4, 5, 6, 7, 8, 10, 12].map((n) => [n, { value: `${n / 4}rem` }]),
);

/**
 * The look: bone paper on dark petrol, a graphite card by night. States are verdigris, ochre, ember
 * and slate, and always carry a shape and a word too. Contrast is WCAG AA on both cards.
 */
const config = defineConfig({
  preflight: true,
  cssVarsRoot: ':where(html)',
  globalCss: {
    html: { fontSize: '16px', lineHeight: 1.5 },
    // Boxes, lists and calendars that the browser draws itself go dark with the card.
    '.dark': { colorScheme: 'dark' },
    '*': {
      '--global-font-mono': 'fonts.mono',
      '--global-font-body': 'fonts.body',
      '--global-color-border': 'colors.line',
    },
    body: {
      bg: 'bench',
      color: 'ink',
      fontFamily: 'body',
      minHeight: '100dvh',
      overflowX: 'hidden',
      '@media print': { bg: 'white' },
    },
    '.no-print': { '@media print': { display: 'none !important' } },
    '*::selection': { bg: 'doubtWash' },
    ':focus-visible': { outline: '3px solid', outlineColor: 'focus', outlineOffset: '2px' },
    '*, *::before, *::after': {
      '@media (prefers-reduced-motion: reduce)': {
        animationDuration: '0.01ms !important',
        transitionDuration: '0.01ms !important',
      },
    },
  },
  theme: {
    breakpoints: { sm: '480px', md: '768px', lg: '1024px', xl: '1280px' },
    tokens: {
      spacing: steps,
      sizes: steps,
      fonts: {
        body: { value: "'Barlow', sans-serif" },
        heading: { value: "'Barlow Semi Condensed', 'Barlow', sans-serif" },
        mono: { value: "'IBM Plex Mono', monospace" },
      },
    },
    semanticTokens: {
      colors: {
        bench: pair('#0E2A33', '#0B1013'),
        benchInk: pair('#DCE6E3', '#C9D1CF'),
        benchSoft: pair('#9DB4B3', '#93A1A0'),
        card: pair('#F2EDE1', '#20272A'),
        cardEdge: pair('#E8E1D0', '#1A2023'),
        paper: pair('#FFFFFF', '#2A3337'),
        ink: pair('#1A2326', '#E8E6DD'),
        soft: pair('#556060', '#A9B2B0'),
        line: pair('#C9BFA8', '#465054'),
        focus: pair('#1D5FA8', '#8FC0F5'),
        sound: pair('#1C6554', '#6CC7AE'),
        doubt: pair('#8A5A0E', '#E0AE55'),
        doubtWash: pair('#FBF3DF', '#3A3220'),
        failed: pair('#A83518', '#F28B6E'),
        failedWash: pair('#FBE9E3', '#3E2620'),
        slate: pair('#5D6871', '#98A4AD'),
        probeRed: pair('#B03A1E', '#E0694B'),
        probeBlack: pair('#1A2326', '#0B0F11'),
      },
    },
  },
});

// The base only: Chakra's own look (recipes, palettes) would be a fifth of the page's scripts, unused.
export const system = createSystem(defaultBaseConfig, config);
