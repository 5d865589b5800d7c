import type { Light } from '../../shared/preferences';

/** Colours by meaning. They become CSS custom properties and antd tokens. Every text and background pair meets WCAG AA. */
export interface Palette {
  /** page, panel and raised surface */
  readonly deep: string;
  readonly bank: string;
  readonly shoal: string;
  /** hairlines, and borders of fields and buttons */
  readonly rule: string;
  readonly edge: string;
  /** text, muted text */
  readonly mist: string;
  readonly haze: string;
  /** focus track, playhead and main action; text on it */
  readonly lantern: string;
  readonly onLantern: string;
  /** sharp, soft, close to the edge */
  readonly reed: string;
  readonly rust: string;
  readonly straw: string;
  /** subjects, in order */
  readonly currents: readonly [string, string, string, string];
}

export const PALETTES: Readonly<Record<Light, Palette>> = {
  dusk: {
    deep: '#0e1619',
    bank: '#162125',
    shoal: '#1f2e33',
    rule: '#26373c',
    edge: '#4d666c',
    mist: '#e8eeea',
    haze: '#9db0ae',
    lantern: '#f2b45c',
    onLantern: '#1d1405',
    reed: '#86c2a6',
    rust: '#e98065',
    straw: '#d9cd8a',
    currents: ['#c29be0', '#7db4e6', '#8fd0d0', '#e69ab8'],
  },
  noon: {
    deep: '#f5f4ee',
    bank: '#ffffff',
    shoal: '#e9ece6',
    rule: '#d5dad3',
    edge: '#8a9893',
    mist: '#16211f',
    haze: '#4c5d59',
    lantern: '#9a5600',
    onLantern: '#ffffff',
    reed: '#1c6849',
    rust: '#b0391a',
    straw: '#6d5e0c',
    currents: ['#7a3fa8', '#1f5f9e', '#0d6769', '#a52e67'],
  },
};
