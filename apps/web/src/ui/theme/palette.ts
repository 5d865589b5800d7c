import type { Light } from '../../shared/preferences';

/** Colours by meaning. They become CSS custom properties and antd tokens. Every text and background pair meets WCAG AA. */
export interface Palette {
  /** page, panel and raised surface */
  readonly page: string;
  readonly panel: string;
  readonly raised: string;
  /** hairlines, and borders of fields and buttons */
  readonly line: string;
  readonly border: string;
  /** text, muted text */
  readonly text: string;
  readonly textMuted: string;
  /** focus track, playhead and main action; text on it */
  readonly accent: string;
  readonly onAccent: string;
  /** sharp, soft, close to the edge */
  readonly ok: string;
  readonly error: string;
  readonly warning: string;
  /** subjects, in order */
  readonly subjects: readonly [string, string, string, string];
}

export const PALETTES: Readonly<Record<Light, Palette>> = {
  dusk: {
    page: '#0e1619',
    panel: '#162125',
    raised: '#1f2e33',
    line: '#26373c',
    border: '#4d666c',
    text: '#e8eeea',
    textMuted: '#9db0ae',
    accent: '#f2b45c',
    onAccent: '#1d1405',
    ok: '#86c2a6',
    error: '#e98065',
    warning: '#d9cd8a',
    subjects: ['#c29be0', '#7db4e6', '#8fd0d0', '#e69ab8'],
  },
  noon: {
    page: '#f5f4ee',
    panel: '#ffffff',
    raised: '#e9ece6',
    line: '#d5dad3',
    border: '#8a9893',
    text: '#16211f',
    textMuted: '#4c5d59',
    accent: '#9a5600',
    onAccent: '#ffffff',
    ok: '#1c6849',
    error: '#b0391a',
    warning: '#6d5e0c',
    subjects: ['#7a3fa8', '#1f5f9e', '#0d6769', '#a52e67'],
  },
};
